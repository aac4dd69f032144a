import Papa from 'papaparse';

/** A table read from comma separated text: its head and its rows, with the line each came from (1 = the head). */
export type Table = {
  readonly head: readonly string[];
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
  /** Lines that could not be read whole, with why. */
  readonly faults: readonly { readonly line: number; readonly why: string }[];
};

/** What a spreadsheet would take for a formula when it begins a cell (OWASP, CSV injection). */
const FORMULA = /^[=+\-@\t\r]/;
const NUMBER = /^-?\d+(\.\d+)?$/;

/** A cell as text that no spreadsheet computes: what looks like a formula gets an apostrophe before it. Plain numbers stay. */
export const harmless = (cell: string): string => (FORMULA.test(cell) && !NUMBER.test(cell) ? `'${cell}` : cell);

/** The text that a cell stood for before {@link harmless}. */
export const unharmed = (cell: string): string => (/^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);

/** Comma separated text (RFC 4180), with a mark for the encoding, so that spreadsheets read accents right. */
export const writeCsv = (head: readonly string[], rows: readonly (readonly string[])[]): string =>
  `\ufeff${Papa.unparse({ fields: [...head], data: rows.map((row) => row.map(harmless)) }, { newline: '\r\n' })}\r\n`;

/** What separates the cells of the first line: whichever of comma, semicolon and tab stands there most often outside quotes. */
const delimiterOf = (text: string): string => {
  const head = (/^(?:"[^"]*"|[^"\n])*/.exec(text)?.[0] ?? '').replace(/"[^"]*"/g, '');
  const count = (d: string): number => head.split(d).length;
  return [',', ';', '\t'].reduce((best, d) => (count(d) > count(best) ? d : best));
};

/** Reads separated text: comma, semicolon or tab, found out from the head; quotes and line ends inside cells are understood. */
export const readCsv = (text: string): Table => {
  const plain = text.replace(/^\ufeff/, '');
  const found = Papa.parse<string[]>(plain, { delimiter: delimiterOf(plain), skipEmptyLines: false });
  let line = 1;
  const all = found.data.map((cells) => {
    const at = line;
    line += 1 + cells.reduce((n, cell) => n + (cell.match(/\n/g)?.length ?? 0), 0);
    return { line: at, cells: cells.map((cell) => unharmed(cell.trim())) };
  });
  const [head, ...rows] = all;
  return {
    head: head?.cells ?? [],
    rows: rows.filter((row) => row.cells.some((cell) => cell !== '')),
    faults: found.errors
      .filter((e) => e.type !== 'Delimiter')
      .map((e) => ({ line: all[e.row ?? 0]?.line ?? 1, why: e.message })),
  };
};

/** Whether a cell says yes. */
export const saysYes = (cell: string): boolean => /^(yes|y|x|1|true)$/i.test(cell.trim());
