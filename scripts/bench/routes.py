"""The peer of the route search: networkx, the same arcs, the same targets. Reads JSON, writes costs and CPU milliseconds."""
import itertools, json, sys, time
import networkx as nx

asked = json.load(sys.stdin)
graph = nx.DiGraph()
graph.add_nodes_from(range(asked["nodes"]))
for arc in asked["arcs"]:
    graph.add_edge(arc["from"], arc["to"], weight=arc["cost"])

def best(target):
    try:
        paths = itertools.islice(nx.shortest_simple_paths(graph, asked["from"], target, weight="weight"), asked["k"])
        return [nx.path_weight(graph, path, "weight") for path in paths]
    except nx.NetworkXNoPath:
        return []

times = []
for _ in range(asked["runs"]):
    began = time.process_time()
    costs = [best(target) for target in asked["targets"]]
    times.append((time.process_time() - began) * 1000)
print(json.dumps({"costs": costs, "ms": sorted(times)[len(times) // 2]}))
