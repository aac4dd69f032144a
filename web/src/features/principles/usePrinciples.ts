import {
  casesOf,
  knownForPrinciples,
  tableOf,
  type Principle,
  type PrincipleCase,
  type WithAndWithout,
} from '@odograph/core';
import { useMemo } from 'react';
import { useLibrary, useWords } from '../library/index.js';

/** A principle with the attempts that are held against it. */
export type Held = {
  readonly principle: Principle;
  readonly cases: readonly PrincipleCase[];
  readonly table: WithAndWithout;
};

/** All principles of the academy, each held against its attempts. */
export const usePrinciples = (): readonly Held[] => {
  const { principles, attempts, footage, angles, files, clips } = useLibrary();
  const words = useWords();
  const known = useMemo(
    () => knownForPrinciples({ attempts, footage, angles, files, clips }, principles, words),
    [attempts, footage, angles, files, clips, principles, words],
  );
  return useMemo(
    () =>
      principles.map((principle) => {
        const cases = casesOf(principle, known, words);
        return { principle, cases, table: tableOf(cases) };
      }),
    [principles, known, words],
  );
};
