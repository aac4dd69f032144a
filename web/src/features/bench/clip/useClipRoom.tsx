import { MOMENT_NAME_LIMIT, timecode, type Link } from '@odograph/core';
import { ToBin } from '../../bin/index.js';
import { useLibrary } from '../../library/index.js';
import { useEdit } from '../../replica/index.js';
import { AskLine, BenchHint, PARTS, wayOf, type Desk, type Edge, type Room } from '../desk/index.js';
import { ClipDetail } from './ClipDetail.js';
import { CLIP_TEXT as T, INSTANT_TEXT } from './clip.text.js';
import { useChain } from './useChain.js';
import { useCutting, type Cutting } from './useCutting.js';
import { useInstants } from './useInstants.js';
import { useLoops } from './useLoops.js';
import { ASK_KEYS, EDGE_KEYS, type KeyTable } from '../keys/index.js';

export type ClipRoom = {
  readonly cutting: Cutting;
  readonly links: readonly Link[];
  /** Under the sentence of the clip in hand: its instants, its loops, what it follows. */ readonly detail: React.ReactNode;
  readonly room: Room;
  /** What stands under the picture while nothing is in hand. */ readonly resting: Room;
};

/** From clip to clip, and round the one in hand. */
const watchingKeys = ({ bench, handle: { player, frame }, selected, select }: Desk): KeyTable => {
  const index = bench.clips.findIndex((v) => v.clip.id === selected?.clip.id);
  const neighbour = (by: 1 | -1): void => {
    const at =
      index >= 0
        ? index + by
        : by > 0
          ? bench.clips.findIndex((v) => v.clip.in.frame >= frame())
          : bench.clips.findLastIndex((v) => v.clip.in.frame <= frame());
    const view = bench.clips[at];
    if (view) select(view.clip.id);
  };
  const toggleLoop = (): void => {
    if (!selected) return;
    const { in: from, out: to } = selected.clip;
    player?.loop(player.snapshot().loop ? null : { inFrame: from.frame, outFrame: to.frame });
  };
  return {
    ArrowUp: () => neighbour(-1),
    ArrowDown: () => neighbour(1),
    n: () => select(),
    l: toggleLoop,
  };
};

/** The clip in hand, and how one comes to be. */
export const useClipRoom = (desk: Desk): ClipRoom => {
  const { hand, table, handle, selected, move, mayWrite, select, toPicture } = desk;
  const edit = useEdit();
  const { routes } = useLibrary();
  const cutting = useCutting(desk);
  const instants = useInstants(selected, handle);
  const loops = useLoops(selected, handle);
  const chain = useChain(desk);
  const toBin = (): void => {
    if (!selected) return;
    edit({ kind: 'remove', what: 'clip', id: selected.clip.id });
    select();
  };
  const onDelete = (): void => {
    const isShown = routes.some((r) => r.steps.some((step) => step.clipId === selected?.clip.id));
    if (isShown) move({ does: 'tell', way: { by: 'bin' } });
    else toBin();
  };
  const writingKeys: KeyTable = {
    i: cutting.onIn,
    o: cutting.onOut,
    Delete: onDelete,
    ...instants.keys,
    ...loops.keys,
    ...chain.keys,
    ...(selected ? { '@': () => move({ does: 'ask', asks: 'moment' }) } : {}),
    'ctrl+z': () => edit({ kind: 'undo' }),
    'ctrl+y': () => edit({ kind: 'redo' }),
  };
  const onNamed = (typed: string): boolean => {
    const name = typed.trim();
    return name !== '' && name.length <= MOMENT_NAME_LIMIT && instants.call(name);
  };
  const way = wayOf(hand);
  /** The edge that is dragged stays where it was. */
  const letBe = (edge: Edge): void => {
    move({ does: 'tell', way: PARTS });
    if (selected) handle.player?.seek(selected.clip[edge].frame - (edge === 'out' ? 1 : 0));
  };
  const rest = hand.is === 'begun' && table ? T.inMarked(timecode(table, hand.inFrame)) : T.sayHint;
  return {
    ...{ cutting, links: chain.links },
    detail: table && <ClipDetail instants={instants} loops={loops} chain={chain} table={table} />,
    room: {
      keys: {
        ...watchingKeys(desk),
        ...(mayWrite ? writingKeys : {}),
        ...(way?.by === 'edge' ? { Escape: () => letBe(way.edge) } : {}),
      },
      ...(way?.by === 'edge' && { hints: EDGE_KEYS }),
      ...(hand.is === 'question' &&
        hand.asks === 'moment' && {
          hints: ASK_KEYS,
          panel: (
            <AskLine
              label={INSTANT_TEXT.own}
              hint={INSTANT_TEXT.ownHint}
              refusal={INSTANT_TEXT.ownRefusal}
              onSaid={onNamed}
              onLeave={() => {
                move({ does: 'answer' });
                toPicture();
              }}
            />
          ),
        }),
      ...(selected &&
        way?.by === 'bin' && {
          panel: (
            <ToBin
              what="clip"
              id={selected.clip.id}
              name={T.thisClip}
              onYes={toBin}
              onNo={() => move({ does: 'tell', way: PARTS })}
            />
          ),
        }),
    },
    resting: { panel: <BenchHint text={mayWrite ? rest : T.watchHint} /> },
  };
};
