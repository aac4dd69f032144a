export { FACETS, MAIN, facetOf, type FacetKey } from './facets.js';
export { facetChoices, facetCounts, matches, without, type Filter } from './filter.js';
export { keptFilter, filterOf, readFilter } from './filterText.js';
export { ORDERS, ordered, type Order } from './order.js';
export { beginsWords, clipSaid, useClipFinder } from './clipFinder.js';
export { CollectionOptions } from './CollectionOptions.js';
export { clipsIn } from './collected.js';
export { useGathered, useViewSource } from './useGathered.js';
