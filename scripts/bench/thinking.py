"""Recomputes from an exported map (GraphML) what the analysis says follows from it, by networkx and numpy, and tells what differs. Arguments: map.graphml analysis.json."""
import json, math, sys
import networkx as nx
import numpy as np

graph = nx.read_graphml(sys.argv[1], force_multigraph=True)
analysis = json.load(open(sys.argv[2]))
nodes = sorted(graph.nodes)
edges = [(u, v, d) for u, v, d in graph.edges(data=True)]
plain = nx.DiGraph()
plain.add_nodes_from(nodes)
plain.add_edges_from((u, v) for u, v, _ in edges if u != v)
terminal = {n for n, d in graph.nodes(data=True) if d.get("terminal")}
wrong = []


def check(what, is_right):
    if not is_right:
        wrong.append(what)


# rates of groups
Z = 1.959963984540054


def wilson(x, n):
    if n == 0:
        return None
    p, z2 = x / n, Z * Z
    middle, half = p + z2 / (2 * n), Z * math.sqrt(p * (1 - p) / n + z2 / (4 * n * n))
    return (middle - half) / (1 + z2 / n), (middle + half) / (1 + z2 / n)


groups = {}
for u, _, d in edges:
    group = groups.setdefault((u, d["action"]), [d["attempts"], 0])
    check("attempts of a group differ from line to line", group[0] == d["attempts"])
    group[1] += d["successes"]
check("number of groups", len(groups) == len(analysis["rates"]))
for r in analysis["rates"]:
    attempts, successes = groups[(r["from"], r["action"] + (" (bait)" if r["bait"] else ""))]
    interval = wilson(successes, attempts)
    check("a rate", (r["attempts"], r["successes"]) == (attempts, successes))
    check("an interval", (interval is None and r["low"] is None) or np.allclose(interval, (r["low"], r["high"]), atol=1e-9))

# chances of each ending: of whoever acts, and with what the other side does
SIDES = {"top": "bottom", "bottom": "top", "attacker": "defender", "defender": "attacker"}


def flipped(n):
    if n.startswith("won:") or n.startswith("lost:"):
        return ("lost:" if n[0] == "w" else "won:") + n.split(":", 1)[1]
    head, _, role = n.rpartition("/")
    return f"{head}/{SIDES.get(role, role)}" if head else n


def check_chain(chain, steps, points):
    nodes = sorted({n for u, v, _ in steps for n in (u, v)})
    over = {n for n in nodes if n in terminal or flipped(n) in terminal}
    at = {n: i for i, n in enumerate(nodes)}
    weight = np.zeros((len(nodes), len(nodes)))
    counted = nx.DiGraph()
    counted.add_nodes_from(nodes)
    for u, v, count in steps:
        weight[at[u], at[v]] += count
        if count > 0:
            counted.add_edge(u, v)
    total = weight.sum(axis=1)
    unknown = {n for n in nodes if n not in over and total[at[n]] == 0}
    ends = over | unknown
    coming = set(ends)
    for n in ends:
        coming |= nx.ancestors(counted, n)
    inner = [n for n in nodes if n in coming and n not in ends]
    names = sorted(over) + ["unknown", "never"]
    index = [at[n] for n in inner]
    step = weight[index] / total[index, None] if inner else np.zeros((0, len(nodes)))
    into = np.zeros((len(inner), len(names)))
    for i, name in enumerate(sorted(over)):
        into[:, i] = step[:, at[name]]
    into[:, -2] = step[:, [at[n] for n in unknown]].sum(axis=1) if unknown else 0
    never = [n for n in nodes if n not in coming]
    into[:, -1] = step[:, [at[n] for n in never]].sum(axis=1) if never else 0
    gained = np.array([points(n) for n in nodes])
    entering = step.copy()
    for i, n in enumerate(inner):
        entering[i, at[n]] = 0
    solved = np.linalg.solve(
        np.eye(len(inner)) - step[:, index],
        np.column_stack([into, np.ones(len(inner)), entering @ gained]) if inner else np.zeros((0, len(names) + 2)),
    )
    place = {n: i for i, n in enumerate(inner)}
    worst = 0.0
    for c in chain:
        n = c["place"]
        if n in place:
            row = solved[place[n]]
            ours = [c["endings"].get(name, 0) for name in names] + [c["steps"], c["points"]]
            worst = max(worst, float(np.max(np.abs(row - ours) / np.maximum(1, np.abs(row)))))
        else:
            name = n if n in over else "unknown" if n in unknown else "never"
            check("an ending of its own", c["endings"] == {name: 1} and c["steps"] == 0 and c["points"] == 0)
    check("chances, steps or points", worst < 1e-10)
    check("number of chains", {c["place"] for c in chain} == set(nodes))
    return worst


points = {n: float(d.get("points", 0)) for n, d in graph.nodes(data=True)}
own = [(u, v, d["count"]) for u, v, d in edges]
worst = check_chain(analysis["chain"], own, lambda n: points.get(n, 0))
# the points of a place that the map does not have stand with its other side, or nowhere: then they are asked of the analysis
known = {**points, **{p["id"]: float(p["points"]) for p in analysis["places"]}}
both = own + [(flipped(u), flipped(v), count) for u, v, count in own]
if all(flipped(n) in known for n in nodes):
    worst = max(worst, check_chain(analysis["chainOfBoth"], both, lambda n: known[n] - known[flipped(n)]))
else:
    stripped = [{**c, "points": 0} for c in analysis["chainOfBoth"]]
    worst = max(worst, check_chain(stripped, both, lambda n: 0))

# crossroads, parts, dead ends, loops
between = nx.betweenness_centrality(plain, normalized=False)
pairs = max(1, (len(nodes) - 1) * (len(nodes) - 2))
check("hubs", all(abs(h["share"] - between[h["place"]] / pairs) < 1e-9 for h in analysis["hubs"]) and len(analysis["hubs"]) == len(nodes))
parts = sorted((sorted(c) for c in nx.strongly_connected_components(plain) if len(c) > 1), key=lambda c: (-len(c), c[0]))
check("components", parts == analysis["components"])
islands = sorted((sorted(c) for c in nx.weakly_connected_components(plain)), key=lambda c: (-len(c), c[0]))
check("islands", islands == analysis["islands"])
check("dead ends", [n for n in nodes if n not in terminal and plain.out_degree(n) == 0] == analysis["deadEnds"])
twos = sorted([u, v] for u, v in plain.edges if u < v and plain.has_edge(v, u))
listed = [loop for loop in analysis["loops"]["list"] if len(loop) == 2]
check("loops of two", listed == (twos if not analysis["loops"]["isCut"] else twos[: len(listed)]))
check("a loop that is none", all(plain.has_edge(a, b) for loop in analysis["loops"]["list"] for a, b in zip(loop, loop[1:] + loop[:1])))

# either way
met, opened = {}, {}
for u, _, d in edges:
    if "(bait)" in d["action"]:
        continue
    for part in filter(None, d.get("met", "").split("|")):
        reaction, counts = part.rsplit(" ", 1)
        n, worked = map(int, counts.split("/"))
        one = met.setdefault((u, d["action"], reaction), [0, 0])
        one[0] += n
        one[1] += worked
    for part in filter(None, d.get("opened", "").split("|")):
        reaction, entry = part.split(">")
        opened.setdefault((u, d["action"], entry), set()).add(reaction)
expected = {}
for u, a, b in opened:
    if a < b and (u, b, a) in opened and (u, a) in groups and (u, b) in groups:
        for r in opened[(u, a, b)]:
            for q in opened[(u, b, a)]:
                if r != q:
                    seen = [[met.get((u, e, x), [0, 0]) for x in (r, q)] for e in (a, b)]
                    expected[(u, a, b, r, q)] = seen
found = {(d["place"], *d["entries"], *d["reactions"]): d for d in analysis["dilemmas"]}
check("pairs of either way", set(found) == set(expected))
for key in set(found) & set(expected):
    seen, d = expected[key], found[key]
    check("what was seen of a pair", [[[c["n"], c["worked"]] for c in row] for row in d["seen"]] == seen)
    if all(c[0] >= 3 for row in seen for c in row):
        (a, b), (c, e) = [[w / n for n, w in row] for row in seen]
        low, high = max(min(a, b), min(c, e)), min(max(a, c), max(b, e))
        value = low if low >= high else (a * e - b * c) / (a + e - b - c)
        check("the value of a pair", abs(d["mix"]["value"] - value) < 1e-9)
    else:
        check("a pair that was seen too little", "mix" not in d)

# what comes before what
order = {n: i for i, n in enumerate(analysis["prerequisites"].get("ids", []))}
needs = nx.DiGraph()
for n, d in graph.nodes(data=True):
    if n not in terminal:
        needs.add_node(n)
        if d.get("parent"):
            needs.add_edge(d["parent"], n)
for u, _, d in edges:
    needs.add_edge(u, f"{u} {d['action'].replace(' (bait)', '')}")
check("the order of teaching", list(nx.lexicographical_topological_sort(needs)) == analysis["prerequisites"].get("ids"))

# best routes
for question in analysis["routes"]:
    for route in question["best"]:
        cost = sum(
            min(d["cost"] for _, v, d in graph.out_edges(a, data=True) if v == b and d["action"] == action and "cost" in d)
            for a, b, action in zip(route["places"], route["places"][1:], route["actions"])
        )
        check("the cost of a route", route["cost"] >= cost - 1e-9)

print(json.dumps({"places": len(nodes), "lines": len(edges), "chainsApart": worst, "wrong": sorted(set(wrong))}))
