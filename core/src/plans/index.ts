export { PLAN_LINES_LIMIT, unseenOf, type Plan, type PlannedLine } from './types.js';
