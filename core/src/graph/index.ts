export { digraphOf, type Arc, type Digraph } from './digraph.js';
export { componentsOf, deadEndsOf, islandsOf, reaching, type Components } from './components.js';
export { loopsOf, type Loops } from './loops.js';
export { betweenness, hubsOf, type Hub } from './hubs.js';
export { NEVER, UNKNOWN, prospectFrom, prospectsOf, visitsFrom, type Prospect } from './chain.js';
export { bandsFrom, type Band, type ProspectBands } from './bands.js';
export { teachingOrder, type Needing, type TeachingOrder } from './prerequisites.js';
export { KeyHeap } from './heap.js';
export { gamma, randomOf, type Random } from './random.js';
