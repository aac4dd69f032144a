"""Reads an exported map with networkx and holds its numbers against those of the analysis. Arguments: map.graphml analysis.json."""
import json, sys
import networkx as nx

graph = nx.read_graphml(sys.argv[1], force_multigraph=True)
analysis = json.load(open(sys.argv[2]))
FIELDS = ["action", "count", "attempts", "successes"]
theirs = sorted(
    tuple([u, v] + [str(data.get(field)) for field in FIELDS])
    for u, v, data in graph.edges(data=True)
)
ours = sorted(
    tuple([line["from"], line["to"], line["action"] + (" (bait)" if line["bait"] else "")] + [str(line[field]) for field in FIELDS[1:]])
    for line in analysis["lines"]
)
heights = {p["id"]: p["height"] for p in analysis["places"]}
same_heights = all(
    heights[n] is None or abs(float(d["height"]) - heights[n]) < 1e-9 for n, d in graph.nodes(data=True)
)
print(json.dumps({"lines": len(ours), "places": graph.number_of_nodes(), "same": theirs == ours and same_heights and len(heights) == graph.number_of_nodes()}))
