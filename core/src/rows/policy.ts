import { FORMS, RISKS, SCHOOLS, type AcademyPolicy, type PolicyRow } from '../teaching/index.js';
import { choice, list, object, said, saidOr, type FieldsOf } from './shapes.js';

const FORM = choice(...FORMS);
const ROW = object<PolicyRow>({
  risk: choice(...RISKS),
  ...{ firstWeeks: FORM, beginner: FORM, intermediate: FORM, advanced: FORM },
});
/** What is kept of an academy's policy. */
export const POLICY = {
  school: said(choice(...SCHOOLS)),
  rows: saidOr(list(ROW, { once: 'risk' }), []),
} as const satisfies FieldsOf<AcademyPolicy>;
