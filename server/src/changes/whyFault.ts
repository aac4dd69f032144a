import type { WhyFault } from '@odograph/core';
import type { FieldFault } from '@odograph/core/contract';

/** What cannot be so among facts and alternatives, as it goes over the wire. */
export const whyFaultOf = (fault: WhyFault): FieldFault => {
  switch (fault.is) {
    case 'no value':
      return { code: 'not-one-of', facts: { all: fault.all } };
    case 'impossible':
      return { code: 'not-possible' };
    case 'twice':
      return { code: 'twice' };
    case 'too early':
      return { code: 'not-after', facts: { field: fault.after } };
  }
};
