/** Nodes and edges of a GraphML file, with their values by name. */
export type Graph = {
  readonly nodes: readonly Record<string, string>[];
  readonly edges: readonly Record<string, string>[];
};

const values = (body: string, of: 'node' | 'edge'): Record<string, string> =>
  Object.fromEntries(
    [...body.matchAll(new RegExp(`<data key="${of}-([^"]+)">([^<]*)</data>`, 'g'))].map(([, name, value]) => [
      name!,
      value!,
    ]),
  );

export const readGraphml = (xml: string): Graph => ({
  nodes: [...xml.matchAll(/<node id="([^"]+)">([\s\S]*?)<\/node>/g)].map(([, id, body]) => ({
    id: id!,
    ...values(body!, 'node'),
  })),
  edges: [...xml.matchAll(/<edge id="[^"]+" source="([^"]+)" target="([^"]+)">([\s\S]*?)<\/edge>/g)].map(
    ([, source, target, body]) => ({ source: source!, target: target!, ...values(body!, 'edge') }),
  ),
});
