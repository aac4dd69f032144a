import { Box, Flex } from '@chakra-ui/react';
import {
  clockText,
  courseOf,
  filmedMs,
  isLeftOut,
  technicalMs,
  timedOf,
  waitingMarks,
  type Angle,
  type Footage,
  type MediaFile,
} from '@odograph/core';
import type { Job } from '@odograph/core/contract';
import { Plus } from 'lucide-react';
import { useMemo, useRef, useState, type DragEvent } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Action, Heading, ProfileMark, Subheading } from '../../design/index.js';
import { NOTHING_FOR_STUDENTS, useClipViews, useLibrary, useMayWrite, useWords } from '../library/index.js';
import { useEdit } from '../replica/index.js';
import { useMeQuery } from '../server/index.js';
import { ToBin } from '../bin/index.js';
import { Still } from '../player/index.js';
import { DemoCorner } from '../standIns/index.js';
import { FOOTAGE_TEXT as T, SETTING_WORDS, SHELF_TEXT } from './footage.text.js';
import { agreements, athleteRef, fieldsOf, sheetOf } from './sheet.js';
import { SheetForm } from './SheetForm.js';
import { SoundHeard } from './SoundHeard.js';
import { Spark } from './Spark.js';
import { TakeIn } from './TakeIn.js';
import { ComingIn } from './uploads/ComingIn.js';
import { JobLine } from './uploads/JobLine.js';
import { sender } from './uploads/sending.js';
import { useComing } from './uploads/useComing.js';

const dayText = (date: string | null): string =>
  date === null
    ? SHELF_TEXT.noDay
    : new Date(`${date}T12:00:00`).toLocaleDateString(undefined, { dateStyle: 'medium' });

const Piece = ({
  footage,
  angle,
  file,
  onEdit,
  jobs,
  onJob,
}: {
  readonly footage: Footage;
  readonly angle: Angle;
  readonly file: MediaFile;
  readonly onEdit: (() => void) | undefined;
  /** What is being made of it. */
  readonly jobs: readonly Job[];
  readonly onJob: () => void;
}): React.JSX.Element => {
  const library = useLibrary();
  const words = useWords();
  const clips = useClipViews().filter((v) => v.footage.id === footage.id);
  const runs = useMemo(() => courseOf(timedOf(library, footage.id), 'a', words), [library, footage.id, words]);
  const name = (id: string): string => library.persons.find((p) => p.id === id)?.name ?? 'unknown';
  const drafts = clips.filter((v) => v.missing.length).length;
  const waiting = waitingMarks(library.moments, library.attempts).filter((m) => m.footageId === footage.id).length;
  const filmed = filmedMs(angle, file);
  const poster = Math.round(file.frames * 0.22);
  // without an edit it is somebody who only looks
  const to = onEdit ? `/break-down/${footage.id}` : `/clips?text=${encodeURIComponent(footage.title)}`;
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns={{ base: 'minmax(0, 1fr)', md: '256px minmax(0, 1fr) auto' }}
      gap={{ base: '3', md: '6' }}
      paddingBlock="5"
      borderBottomWidth="1px"
    >
      <Link to={to} aria-label={onEdit ? SHELF_TEXT.breakDownOf(footage.title) : SHELF_TEXT.clipsOf(footage.title)}>
        <Still fileId={file.id} frame={poster} width={256} />
      </Link>
      <Box minWidth="0">
        <Subheading fontSize="23px">
          <Link to={to}>{footage.title}</Link>
        </Subheading>
        <Box marginTop="1">
          <Box as="span" color="us" fontWeight="600">
            {name(footage.athleteA)}
          </Box>
          <Box as="span" color="inkSoft">
            {footage.kitA && `, ${footage.kitA}`}
          </Box>
          {SHELF_TEXT.and}
          <Box as="span" color="them" fontWeight="600">
            {name(footage.athleteB)}
          </Box>
          <Box as="span" color="inkSoft">
            {footage.kitB && `, ${footage.kitB}`}
          </Box>
        </Box>
        <Box color="inkSoft" fontSize="14px">
          {SHELF_TEXT.facts(SETTING_WORDS[footage.setting], footage.gi, dayText(footage.date), footage.logged)}
          {footage.spans.some(isLeftOut) &&
            SHELF_TEXT.technique(
              clockText(technicalMs(footage.spans, filmed), 'up'),
              clockText(filmed.toMs - filmed.fromMs, 'up'),
            )}
        </Box>
        {file.cutOff && (
          <Box fontSize="14px" data-cut-off>
            {T.cutOff}
          </Box>
        )}
        <SoundHeard file={file} mayChoose={onEdit !== undefined} />
        <Box marginTop="3">
          <Spark
            runs={runs}
            fromS={filmed.fromMs / 1000}
            toS={filmed.toMs / 1000}
            width={460}
            height={46}
            label={SHELF_TEXT.theCourseItTook(name(footage.athleteA))}
          />
        </Box>
        {jobs.map((job) => (
          <JobLine key={job.id} job={job} onChanged={onJob} />
        ))}
      </Box>
      <Flex direction="column" alignItems="flex-end" justifyContent="space-between" textAlign="right">
        <Box fontFamily="heading" fontSize="18px" lineHeight="1.3">
          {SHELF_TEXT.clipCount(clips.length)}
          {drafts > 0 && <Box color="inkSoft">{SHELF_TEXT.drafts(drafts)}</Box>}
          {waiting > 0 && <Box color="inkSoft">{SHELF_TEXT.marksWaiting(waiting)}</Box>}
        </Box>
        <Flex gap="2">
          {onEdit && <Action onClick={onEdit}>{SHELF_TEXT.footageSheet}</Action>}
          <Action asChild tone={clips.length ? 'plain' : 'next'}>
            <Link to={to}>{onEdit ? SHELF_TEXT.breakDown : SHELF_TEXT.clips}</Link>
          </Action>
        </Flex>
      </Flex>
    </Box>
  );
};

/** A stretch of a file that is here, out of which new footage is to be made: `of`, `from` and `to` in the address. */
const PartOfFile = (): React.JSX.Element | null => {
  const [search, setSearch] = useSearchParams();
  const { files } = useLibrary();
  const file = files.find((f) => f.id === search.get('of'));
  const [fromFrame, toFrame] = [Number(search.get('from')), Number(search.get('to'))];
  if (!file || !(fromFrame < toFrame && toFrame <= file.frames)) return null;
  return (
    <TakeIn
      fileId={file.id}
      fileName={file.name}
      isTaken
      stretch={{ fromFrame, toFrame }}
      onDone={() => setSearch({}, { replace: true })}
    >
      <Box marginBottom="5" color="inkSoft">
        {T.partOfFile(file.name, fromFrame, toFrame)}
      </Box>
    </TakeIn>
  );
};

/** Behind every day. */
const UNDATED = '9999';

/** All footage of the academy. Files can be dropped anywhere on it. */
export const Shelf = (): React.JSX.Element => {
  const library = useLibrary();
  const edit = useEdit();
  const mayWrite = useMayWrite();
  const [leaving, setLeaving] = useState<string | null>(null);
  const { coming, underWay, refetch } = useComing();
  const { data: me } = useMeQuery();
  const [sheetOpen, openSheet] = useState<string | null>(null);
  const [editing, setEditing] = useState<string | null>(null);
  const [isOver, setOver] = useState(false);
  const picker = useRef<HTMLInputElement>(null);
  const take = (files: readonly File[]): void => {
    if (!files.length) return;
    const begun = underWay.uploads.filter((u) => u.state === 'coming' && u.isMine);
    const ids = sender.add(files, begun);
    // one file alone: what it is can be said while it comes
    if (ids.length === 1) openSheet(ids[0]!);
  };
  const onDrag = (event: DragEvent): void => {
    if (!mayWrite || !event.dataTransfer.types.includes('Files')) return;
    event.preventDefault();
    setOver(event.type === 'dragover');
    if (event.type === 'drop') take([...event.dataTransfer.files]);
  };
  const doubts = useMemo(() => library.attempts.reduce((n, a) => n + a.doubts.length, 0), [library.attempts]);
  const pieces = [...library.footage].sort(
    // what has no date yet is what came last: ids grow with time
    (a, b) => (b.date ?? UNDATED).localeCompare(a.date ?? UNDATED) || (a.id < b.id ? 1 : -1),
  );
  return (
    <Box
      flex="1"
      paddingInline={{ base: '4', md: '8' }}
      paddingBlock="6"
      onDragOver={onDrag}
      onDragLeave={onDrag}
      onDrop={onDrag}
      outline={isOver ? '3px dashed var(--od-inHand)' : 'none'}
      outlineOffset="-8px"
    >
      <Flex alignItems="flex-end" gap="4" marginBottom="4" maxWidth="1120px">
        <Heading flex="1">{T.title}</Heading>
        {mayWrite && (
          <>
            {doubts > 0 && (
              <Action asChild tone="quiet">
                <Link to="/doubts">{T.doubts(doubts)}</Link>
              </Action>
            )}
            <Box color="inkSoft">{isOver ? T.dropHere : T.drop}</Box>
            <Action tone="next" onClick={() => picker.current?.click()}>
              <Plus size={17} aria-hidden />
              {T.take}
            </Action>
          </>
        )}
        <input
          ref={picker}
          type="file"
          accept="video/*,.mkv,.ts,.mts,.m2ts,.mov,.avi"
          multiple
          hidden
          data-testid="file-picker"
          onChange={(event) => {
            take([...(event.target.files ?? [])]);
            event.target.value = '';
          }}
        />
      </Flex>
      <PartOfFile />
      <ComingIn coming={coming} open={sheetOpen} onOpen={openSheet} onChanged={refetch} onFiles={take} />
      {pieces.length === 0 && coming.length === 0 ? (
        <Box maxWidth="560px" marginTop="14">
          <ProfileMark />
          <Subheading marginTop="8" marginBottom="2" fontSize="24px">
            {T.emptyTitle}
          </Subheading>
          <Box color="inkSoft">{mayWrite ? T.empty : NOTHING_FOR_STUDENTS}</Box>
        </Box>
      ) : (
        <Box as="ul" listStyleType="none" maxWidth="1120px" borderTopWidth="1px">
          {pieces.map((footage) => {
            const angle = library.angles.find((a) => a.footageId === footage.id);
            const of = library.files.find((f) => f.id === angle?.fileId);
            if (!angle || !of) return null;
            if (editing !== footage.id)
              return (
                <Piece
                  key={footage.id}
                  footage={footage}
                  angle={angle}
                  file={of}
                  onEdit={mayWrite ? () => setEditing(footage.id) : undefined}
                  jobs={underWay.jobs.filter((j) => j.subjectId === of.id && j.state !== 'done')}
                  onJob={refetch}
                />
              );
            return (
              <Box as="li" key={footage.id} paddingTop="5">
                {leaving === footage.id && (
                  <Box marginBottom="4" maxWidth="860px">
                    <ToBin
                      what="footage"
                      id={footage.id}
                      name={`“${footage.title}”`}
                      onNo={() => setLeaving(null)}
                      onYes={() => {
                        edit({ kind: 'remove', what: 'footage', id: footage.id });
                        setLeaving(null);
                        setEditing(null);
                      }}
                    />
                  </Box>
                )}
                <SheetForm
                  onRemove={() => setLeaving(footage.id)}
                  title={T.editTitle}
                  start={sheetOf(footage, library.persons)}
                  submit={T.saveEdit}
                  waiting={false}
                  onCancel={() => setEditing(null)}
                  onSubmit={(sheet) => {
                    const [athleteA, athleteB] = [
                      athleteRef(sheet.first, library.persons),
                      athleteRef(sheet.second, library.persons),
                    ];
                    const fields = fieldsOf(sheet);
                    edit({
                      kind: 'footage',
                      id: footage.id,
                      changes: { ...fields, athleteA, athleteB },
                    });
                    agreements(sheet, athleteA, athleteB).forEach(edit);
                    setEditing(null);
                  }}
                />
              </Box>
            );
          })}
        </Box>
      )}
      {mayWrite && me?.academy.isDemo && <DemoCorner onChange={refetch} />}
    </Box>
  );
};
