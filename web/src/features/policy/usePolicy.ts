import { policyOf, type Policy } from '@odograph/core';
import { useMemo } from 'react';
import { useLibrary } from '../library/index.js';

/** The policy that holds in the academy. */
export const usePolicy = (): Policy => {
  const { policies } = useLibrary();
  return useMemo(() => policyOf(policies[0]), [policies]);
};
