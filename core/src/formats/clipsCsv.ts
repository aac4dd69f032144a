import { athletesOf, type Library } from '../library/index.js';
import {
  BARE_REACTION,
  RESULT_WORDS,
  depthWord,
  finishId,
  placeName,
  sayControl,
  stateId,
  type Attempt,
  type Clip,
  type Control,
  type Finish,
  type ReactionUse,
  type State,
  type Subject,
} from '../attempts/index.js';
import { type Angle, type Footage } from '../footage/index.js';
import {
  depthChoices,
  entryChoices,
  finishChoices,
  placeChoices,
  reactionChoices,
  reasonChoices,
  readCell,
  readHolds,
  resultChoices,
  type Meant,
} from '../phrase/index.js';
import { frameOfText, timecode, type TimeTable } from '../timecode/index.js';
import { asCompared, type Words } from '../vocabulary/index.js';
import { finder, whyFinders, whyTexts } from './clipsWhy.js';
import { saysYes, writeCsv, type Table } from './csv.js';
import { numbered, type ReadAttempt } from './readAttempt.js';

/** The columns of a list of clips: what each is called, and what it may be called in other people's lists. */
export const CLIP_COLUMNS = {
  footage: ['footage', 'video', 'match', 'title'],
  camera: ['camera', 'file', 'angle'],
  in: ['in', 'start', 'begin', 'from time'],
  out: ['out', 'end', 'to time'],
  athlete: ['athlete', 'who', 'subject'],
  from: ['from', 'position', 'start position'],
  grips: ['grips', 'grip', 'with'],
  theirGrips: ['their grips', 'opponent grips'],
  entry: ['entry', 'action', 'technique', 'move'],
  bait: ['bait'],
  reaction: ['reaction', 'they', 'response'],
  finish: ['finish', 'ends in', 'end position'],
  result: ['result', 'outcome'],
  depth: ['how far', 'depth'],
  why: ['why', 'reason', 'because'],
  facts: ['how they stood', 'facts', 'stood'],
  alternatives: ['what else was there', 'alternatives', 'could have'],
  evidence: ['how it’s known', 'evidence', 'known'],
  note: ['note', 'notes', 'comment'],
} as const;
export type ClipColumn = keyof typeof CLIP_COLUMNS;
const COLUMNS = Object.keys(CLIP_COLUMNS) as ClipColumn[];
/** Columns without which no clip can be made. */
export const NEEDED_COLUMNS: readonly ClipColumn[] = ['footage', 'in', 'out'];

/** Which column of a table holds what: the index of the column, by what it holds. */
export type Mapping = Readonly<Partial<Record<ClipColumn, number>>>;

/** The mapping that the names in the head suggest. */
export const guessMapping = (head: readonly string[]): Mapping => {
  const taken = new Set<number>();
  return Object.fromEntries(
    COLUMNS.flatMap((column) => {
      const at = CLIP_COLUMNS[column]
        .map((name) => head.findIndex((cell, i) => !taken.has(i) && asCompared(cell) === asCompared(name)))
        .find((i) => i >= 0);
      if (at === undefined) return [];
      taken.add(at);
      return [[column, at] as const];
    }),
  );
};

const SEPARATOR = ';';
const listText = (texts: readonly string[]): string => texts.join(`${SEPARATOR} `);
const listOf = (text: string): readonly string[] =>
  text
    .split(SEPARATOR)
    .map((part) => part.trim())
    .filter(Boolean);

/** A clip with what it belongs to: what a line of the list says. */
export type ListedClip = {
  readonly clip: Clip;
  readonly attempt: Attempt;
  readonly footage: Footage;
  readonly table: TimeTable;
  /** Name of the file that the clip is cut from. */
  readonly camera: string;
};

/** Clips as comma separated text, one a line, in words that {@link readClips} reads back. */
export const clipsCsv = (clips: readonly ListedClip[], library: Pick<Library, 'persons'>, words: Words): string => {
  const grips = (attempt: Attempt, holder: Control['holder']): string =>
    listText(attempt.controls.filter((c) => c.holder === holder).map((c) => sayControl(c, words)));
  return writeCsv(
    COLUMNS.map((column) => CLIP_COLUMNS[column][0]),
    clips.map(({ clip, attempt, footage, table, camera }): readonly string[] => {
      const word = words.action(attempt.action ?? '');
      const why = whyTexts(attempt, words);
      const cells: Record<ClipColumn, string> = {
        footage: footage.title,
        camera,
        in: timecode(table, clip.in.frame),
        out: clip.out.frame < table.ticks.length ? timecode(table, clip.out.frame) : `#${clip.out.frame}`,
        athlete: athletesOf(footage, library.persons)[attempt.subject],
        from: attempt.state ? placeName(stateId(attempt.state), words) : '',
        grips: grips(attempt, 'subject'),
        theirGrips: grips(attempt, 'opponent'),
        entry: attempt.action ? words.name('action', attempt.action) : '',
        bait: attempt.intent === 'bait' ? 'yes' : '',
        reaction: listText(attempt.reactions.map((r) => words.name(r.isAction ? 'action' : 'reaction', r.what))),
        finish: attempt.finish ? placeName(finishId(attempt.finish), words) : '',
        result: attempt.result ? RESULT_WORDS[attempt.result] : '',
        depth: attempt.depth !== null && word ? depthWord(word, attempt.depth) : '',
        why: listText(attempt.reasons.map((r) => words.name('reason', r.reason))),
        facts: listText(why.facts),
        alternatives: listText(why.alternatives),
        evidence: listText(why.evidence),
        note: clip.note,
      };
      return COLUMNS.map((column) => cells[column]);
    }),
  );
};

/** What a line of a list of clips would make, or why it makes nothing. */
export type ReadClip = {
  readonly line: number;
  /** Cells that were not understood; the clip is made without them. */
  readonly notUnderstood: readonly { readonly column: ClipColumn; readonly text: string }[];
} & (
  | {
      readonly does: 'makes';
      readonly footage: Footage;
      readonly angleId: string;
      readonly inFrame: number;
      readonly outFrame: number;
      readonly attempt: ReadAttempt;
      readonly note: string;
    }
  | { readonly does: 'there already'; readonly footage: Footage }
  | {
      readonly does: 'nothing';
      readonly why: 'footage' | 'in' | 'out' | 'out before in' | 'athlete' | 'unreadable';
      readonly said: string;
    }
);

type Finder<T> = (text: string) => T | undefined;

/** Finds what is called exactly so; otherwise what the line's reader takes it for, where that is certain and nothing is left over. */
const orRead =
  <T>(exact: Finder<T>, part: Meant['part'], words: Words, of: (meant: Meant) => T | undefined): Finder<T> =>
  (text) => {
    const found = exact(text);
    if (found !== undefined) return found;
    const meant = readCell(part, text, words);
    return meant && of(meant);
  };

/** The name of a file as one says it: without its ending. */
export const fileTitle = (name: string): string => name.replace(/\.[a-z0-9]+$/i, '');

/** The angles of a footage with what their files are called, with and without the ending. */
const camerasOf = (
  library: Library,
  footageId: string,
): readonly { readonly angle: Angle; readonly names: readonly string[] }[] =>
  library.angles
    .filter((a) => a.footageId === footageId)
    .map((angle) => {
      const name = library.files.find((f) => f.id === angle.fileId)?.name ?? '';
      return { angle, names: [name, fileTitle(name)].filter(Boolean) };
    });

/** A name, and each of its words: first names are said alone. */
const calledOf = (name: string): readonly string[] => [name, ...name.split(/\s+/)];

const LONGEST_NOTE = 4000;

/** How cells of a list are understood: by a name or an alias whole, or as the line reads them. */
const findersFor = (words: Words) => ({
  from: orRead(finder(placeChoices(words)), 'position', words, (m): State | undefined =>
    m.part === 'position' && m.place.role !== null ? { position: m.place.position, role: m.place.role } : undefined,
  ),
  entry: orRead(finder(entryChoices(words, null)), 'entry', words, (m) => (m.part === 'entry' ? m.action : undefined)),
  finish: orRead(finder(finishChoices(words, null, null)), 'finish', words, (m): Finish | undefined =>
    m.part !== 'finish' || (m.finish.kind === 'state' && m.finish.role === null) ? undefined : (m.finish as Finish),
  ),
  result: orRead(finder(resultChoices()), 'result', words, (m) => (m.part === 'result' ? m.result : undefined)),
  reaction: orRead(finder(reactionChoices(words)), 'reaction', words, (m) =>
    m.part === 'reaction' && !m.isAction ? m.what : undefined,
  ),
  behind: whyFinders(words),
  why: orRead(finder(reasonChoices(words)), 'reason', words, (m) => (m.part === 'reason' ? m.reason : undefined)),
});

/** What makes two clips the same: where, from when to when, by whom and what. */
const lookOf = (angleId: string, inFrame: number, outFrame: number, a: Pick<Attempt, 'subject' | 'action'>): string =>
  [angleId, inFrame, outFrame, a.subject, a.action].join(' ');

const looksIn = ({ attempts, clips }: Library): Set<string> => {
  const byId = new Map(attempts.map((a) => [a.id, a]));
  return new Set(
    clips.flatMap((clip) => {
      const attempt = byId.get(clip.attemptId);
      return attempt ? [lookOf(clip.angleId, clip.in.frame, clip.out.frame, attempt)] : [];
    }),
  );
};

/** The cells of a line, and which of them were not understood. */
class Cells {
  readonly notUnderstood: { column: ClipColumn; text: string }[] = [];

  constructor(
    private readonly cells: readonly string[],
    private readonly mapping: Mapping,
  ) {}

  text(column: ClipColumn): string {
    return this.cells[this.mapping[column] ?? -1] ?? '';
  }

  one<T>(column: ClipColumn, understood: Finder<T>): T | null {
    const text = this.text(column);
    if (text === '') return null;
    const found = understood(text);
    if (found === undefined) this.notUnderstood.push({ column, text });
    return found ?? null;
  }

  several<T>(column: ClipColumn, understood: Finder<T>): readonly T[] {
    return listOf(this.text(column)).flatMap((text): T[] => {
      const found = understood(text);
      if (found === undefined) this.notUnderstood.push({ column, text });
      return found === undefined ? [] : [found];
    });
  }
}

/** Where a line puts its clip; or the column that keeps it from being put anywhere. */
const placedBy = (
  cells: Cells,
  library: Library,
  footageOf: Finder<Footage>,
  tableOf: (angleId: string) => TimeTable | undefined,
) => {
  const footage = footageOf(cells.text('footage'));
  const cameras = footage ? camerasOf(library, footage.id) : [];
  const said = cells.text('camera');
  const named = finder(cameras.map(({ angle, names }) => ({ value: angle, texts: names })))(said);
  const angle = named ?? cameras[0]?.angle;
  const times = angle && tableOf(angle.id);
  if (!footage || !angle || !times) return 'footage';
  if (said !== '' && !named) cells.notUnderstood.push({ column: 'camera', text: said });
  const [inFrame, outFrame] = [frameOfText(times, cells.text('in')), frameOfText(times, cells.text('out'))];
  if (inFrame === undefined) return 'in';
  if (outFrame === undefined) return 'out';
  return outFrame <= inFrame ? 'out before in' : { footage, angle, inFrame, outFrame };
};

/** The attempt that a line tells; its athlete is known already. */
const attemptIn = (cells: Cells, subject: Subject, find: ReturnType<typeof findersFor>, words: Words): ReadAttempt => {
  const holds = (column: 'grips' | 'theirGrips', holder: Control['holder']): readonly Omit<Control, 'id'>[] =>
    cells.several(column, (text) => readHolds(text, words, holder)[0]?.map((hold) => ({ ...hold, holder }))).flat();
  const action = cells.one('entry', find.entry);
  const word = words.action(action ?? '');
  const bait = cells.text('bait');
  const read: ReadAttempt = {
    subject,
    state: cells.one('from', find.from),
    action,
    intent: saysYes(bait) || bait.toLowerCase() === 'bait' ? 'bait' : 'own',
    result: cells.one('result', find.result),
    depth: cells.one('depth', finder(word ? depthChoices(word) : [])),
    finish: cells.one('finish', find.finish),
    controls: [...holds('grips', 'subject'), ...holds('theirGrips', 'opponent')],
    reactions: cells.several('reaction', (text): Omit<ReactionUse, 'id'> | undefined => {
      const reaction = find.reaction(text);
      if (reaction !== undefined) return { what: reaction, isAction: false, ...BARE_REACTION };
      const counter = find.entry(text);
      return counter === undefined ? undefined : { what: counter, isAction: true, ...BARE_REACTION };
    }),
    reasons: cells.several('why', find.why).map((reason, i) => ({ reason, main: i === 0 })),
    facts: cells.several('facts', find.behind.fact),
    alternatives: cells.several('alternatives', find.behind.alternative),
    evidence: [],
  };
  return { ...read, evidence: cells.several('evidence', find.behind.evidence(numbered(read))) };
};

/**
 * Reads a list of clips against a library. Every cell is either understood or named; a line without known footage or times makes nothing. `tableOf`
 * gives the presentation times of an angle's file.
 */
export const readClips = (
  table: Table,
  mapping: Mapping,
  library: Library,
  words: Words,
  tableOf: (angleId: string) => TimeTable | undefined,
): readonly ReadClip[] => {
  const footageOf = finder(library.footage.map((f) => ({ value: f, texts: [f.title] })));
  const find = findersFor(words);
  const unreadable = new Set(table.faults.map((f) => f.line));
  const there = looksIn(library);
  return table.rows.map(({ line, cells: texts }): ReadClip => {
    const cells = new Cells(texts, mapping);
    const { notUnderstood } = cells;
    const nothing = (why: Extract<ReadClip, { does: 'nothing' }>['why'], said: string): ReadClip => ({
      ...{ line, notUnderstood: [], does: 'nothing', why, said },
    });
    if (unreadable.has(line)) return nothing('unreadable', texts.join(', '));
    const placed = placedBy(cells, library, footageOf, tableOf);
    if (typeof placed === 'string') return nothing(placed, cells.text(placed === 'out before in' ? 'out' : placed));
    const { footage, angle, inFrame, outFrame } = placed;
    const athletes = athletesOf(footage, library.persons);
    const subject = cells.one(
      'athlete',
      finder<Subject>([
        { value: 'a', texts: [...calledOf(athletes.a), footage.kitA, 'a', 'us', 'me'].filter(Boolean) },
        { value: 'b', texts: [...calledOf(athletes.b), footage.kitB, 'b', 'them'].filter(Boolean) },
      ]),
    );
    // given to the wrong one it would count for them: whoever is named has to be known
    const who = cells.text('athlete');
    if (subject === null && who !== '') return nothing('athlete', who);
    const attempt = attemptIn(cells, subject ?? 'a', find, words);
    const look = lookOf(angle.id, inFrame, outFrame, attempt);
    if (there.has(look)) return { line, notUnderstood, does: 'there already', footage };
    there.add(look);
    const note = cells.text('note').slice(0, LONGEST_NOTE);
    return { line, notUnderstood, does: 'makes', footage, angleId: angle.id, inFrame, outFrame, attempt, note };
  });
};
