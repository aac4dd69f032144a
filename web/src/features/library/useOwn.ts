import { useState } from 'react';

/** What one person has set for themselves on this browser, by its name. */
export const useOwn = <T>(name: string, usual: T): readonly [T, (value: T) => void] => {
  const [value, setValue] = useState<T>(() => {
    try {
      return JSON.parse(localStorage.getItem(name) ?? '') as T;
    } catch {
      return usual;
    }
  });
  return [
    value,
    (next) => {
      setValue(next);
      localStorage.setItem(name, JSON.stringify(next));
    },
  ];
};
