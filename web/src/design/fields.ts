// apart from the rest: the first page has no field that completes what is typed, and what it takes is large
export { WordField, among, type Found, type WordFieldProps } from './WordField.js';
