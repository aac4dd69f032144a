export { PLAN_LINES_LIMIT, plannedKey, unseenOf, type Plan, type PlannedLine } from './types.js';
