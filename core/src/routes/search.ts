import type { Arcs, RouteGraph } from './arcs.js';
import { KeyHeap } from '../graph/index.js';
import type { Rest } from './rest.js';

/** Arcs from one node to a target, and what they cost with all before them. */
export type Found = { readonly arcs: readonly number[]; readonly cost: number };

type Label = { readonly arc: number; readonly cost: number; readonly back: Label | null };

/**
 * Searches for the cheapest way on from a prefix: an A* whose estimate, the rest of each arc, is exact but for the nodes that are closed. Over nodes where no pair of arcs
 * costs extra; else over arcs, since what an arc costs depends on the one before. The arrays are made once and marked anew for each search.
 */
export class Search {
  private readonly heap = new KeyHeap();
  private readonly closedAt: Int32Array;
  private readonly seenAt: Int32Array;
  private readonly settledAt: Int32Array;
  private readonly least: Float64Array;
  private readonly back: Int32Array;
  private readonly onPath: Int32Array;
  private round = 0;
  private paths = 0;

  constructor(
    private readonly arcs: Arcs,
    private readonly graph: RouteGraph,
    private readonly rest: Rest,
    private readonly targets: ReadonlySet<number>,
    private readonly source: number,
  ) {
    const states = graph.between ? arcs.to.length : graph.nodes;
    this.closedAt = new Int32Array(graph.nodes);
    this.onPath = new Int32Array(graph.nodes);
    this.seenAt = new Int32Array(states);
    this.settledAt = new Int32Array(graph.between ? states : 0);
    this.least = new Float64Array(states);
    this.back = new Int32Array(states);
  }

  /** Closes the nodes of a prefix and gives the one it ends at. */
  private begin(prefix: readonly number[]): number {
    this.round++;
    this.heap.clear();
    let at = this.source;
    this.closedAt[at] = this.round;
    for (const arc of prefix) {
      at = this.arcs.to[arc]!;
      this.closedAt[at] = this.round;
    }
    return at;
  }

  private restAt(arc: number): number {
    return this.rest.least[this.rest.of[arc]!]!;
  }

  private isOpen(arc: number): boolean {
    return this.closedAt[this.arcs.to[arc]!] !== this.round && this.restAt(arc) < Number.POSITIVE_INFINITY;
  }

  private step(before: number | undefined, arc: number): number {
    const extra = before === undefined || !this.graph.between ? 0 : this.graph.between(before, arc);
    return this.arcs.cost[arc]! + extra;
  }

  /** What the cheapest way on costs at least, all before it included; infinite where there is none. */
  atLeast(prefix: readonly number[], prefixCost: number, banned: ReadonlySet<number>): number {
    const start = this.begin(prefix);
    const before = prefix.at(-1);
    const { starts, list } = this.arcs.out;
    let least = Number.POSITIVE_INFINITY;
    for (let i = starts[start]!; i < starts[start + 1]!; i++) {
      const arc = list[i]!;
      if (banned.has(arc) || !this.isOpen(arc)) continue;
      least = Math.min(least, prefixCost + this.step(before, arc) + this.restAt(arc));
    }
    return least;
  }

  /** The cheapest way on from a prefix by an arc that is not banned, that passes no node twice. */
  cheapest(prefix: readonly number[], prefixCost: number, banned: ReadonlySet<number>): Found | undefined {
    if (!this.graph.between) return this.overNodes(prefix, prefixCost, banned);
    const found = this.overArcs(prefix, prefixCost, banned);
    return found === 'passes a node twice' ? this.overLabels(prefix, prefixCost, banned) : found;
  }

  private overNodes(prefix: readonly number[], prefixCost: number, banned: ReadonlySet<number>): Found | undefined {
    const { heap, least, seenAt, closedAt, back } = this;
    const { to, from, cost, out } = this.arcs;
    const start = this.begin(prefix);
    const { round } = this;
    const extend = (node: number, soFar: number): void => {
      for (let i = out.starts[node]!; i < out.starts[node + 1]!; i++) {
        const arc = out.list[i]!;
        if (!this.isOpen(arc) || (node === start && banned.has(arc))) continue;
        const [head, whole] = [to[arc]!, soFar + cost[arc]!];
        if (seenAt[head] === round && whole >= least[head]!) continue;
        seenAt[head] = round;
        least[head] = whole;
        back[head] = arc;
        heap.push(whole + this.restAt(arc), head);
      }
    };
    extend(start, prefixCost);
    for (let node = heap.pop(); node >= 0; node = heap.pop()) {
      if (closedAt[node] === round) continue;
      closedAt[node] = round;
      if (this.targets.has(node)) {
        const arcs: number[] = [];
        for (let at = node; at !== start; at = from[back[at]!]!) arcs.push(back[at]!);
        return { arcs: [...prefix, ...arcs.reverse()], cost: least[node]! };
      }
      extend(node, least[node]!);
    }
    return undefined;
  }

  private overArcs(
    prefix: readonly number[],
    prefixCost: number,
    banned: ReadonlySet<number>,
  ): Found | 'passes a node twice' | undefined {
    const { heap, least, seenAt, settledAt, back } = this;
    const { to, out } = this.arcs;
    const start = this.begin(prefix);
    const { round } = this;
    const extend = (node: number, before: number | undefined, soFar: number): void => {
      for (let i = out.starts[node]!; i < out.starts[node + 1]!; i++) {
        const arc = out.list[i]!;
        if (!this.isOpen(arc) || (node === start && banned.has(arc))) continue;
        const whole = soFar + this.step(before, arc);
        if (seenAt[arc] === round && whole >= least[arc]!) continue;
        seenAt[arc] = round;
        least[arc] = whole;
        back[arc] = node === start ? -1 : before!;
        heap.push(whole + this.restAt(arc), arc);
      }
    };
    extend(start, prefix.at(-1), prefixCost);
    for (let arc = heap.pop(); arc >= 0; arc = heap.pop()) {
      if (settledAt[arc] === round) continue;
      settledAt[arc] = round;
      if (!this.targets.has(to[arc]!)) {
        extend(to[arc]!, arc, least[arc]!);
        continue;
      }
      const arcs: number[] = [];
      for (let at = arc; at >= 0; at = back[at]!) arcs.push(at);
      return this.isSimple(start, arcs)
        ? { arcs: [...prefix, ...arcs.reverse()], cost: least[arc]! }
        : 'passes a node twice';
    }
    return undefined;
  }

  private isSimple(start: number, arcs: readonly number[]): boolean {
    const path = ++this.paths;
    this.onPath[start] = path;
    for (const arc of arcs) {
      const node = this.arcs.to[arc]!;
      if (this.onPath[node] === path) return false;
      this.onPath[node] = path;
    }
    return true;
  }

  /** Where the cheapest way over arcs would pass a node twice: all ways, the likeliest first, none that does. */
  private overLabels(prefix: readonly number[], prefixCost: number, banned: ReadonlySet<number>): Found | undefined {
    const { heap } = this;
    const { to, out } = this.arcs;
    const start = this.begin(prefix);
    const labels: Label[] = [];
    const passes = (node: number, label: Label | null): boolean => {
      for (let l = label; l; l = l.back) if (to[l.arc] === node) return true;
      return false;
    };
    const extend = (node: number, before: number | undefined, soFar: number, label: Label | null): void => {
      for (let i = out.starts[node]!; i < out.starts[node + 1]!; i++) {
        const arc = out.list[i]!;
        if (!this.isOpen(arc) || (!label && banned.has(arc)) || passes(to[arc]!, label)) continue;
        const cost = soFar + this.step(before, arc);
        labels.push({ arc, cost, back: label });
        heap.push(cost + this.restAt(arc), labels.length - 1);
      }
    };
    extend(start, prefix.at(-1), prefixCost, null);
    for (let nth = heap.pop(); nth >= 0; nth = heap.pop()) {
      const label = labels[nth]!;
      if (!this.targets.has(to[label.arc]!)) {
        extend(to[label.arc]!, label.arc, label.cost, label);
        continue;
      }
      const arcs: number[] = [];
      for (let l: Label | null = label; l; l = l.back) arcs.push(l.arc);
      return { arcs: [...prefix, ...arcs.reverse()], cost: label.cost };
    }
    return undefined;
  }
}
