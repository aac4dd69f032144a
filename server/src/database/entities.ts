import { DataTypes, type ModelAttributes } from 'sequelize';

export const id = { type: DataTypes.CHAR(36) };
export const text = { type: DataTypes.STRING };
export const int = { type: DataTypes.INTEGER };
export const num = { type: DataTypes.DOUBLE };
export const flag = { type: DataTypes.BOOLEAN };
export const at = { type: DataTypes.DATE(3) };

/** The kinds of rows that edits change, each with its table and its own columns (attribute names; columns are the same in snake case). */
export const ENTITIES = {
  person: [
    'persons',
    {
      name: text,
      athlete: flag,
      member: flag,
      accountId: id,
      level: text,
      age: text,
      filming: flag,
      shownTo: text,
    },
  ],
  file: [
    'files',
    {
      name: text,
      mime: text,
      sizeBytes: { type: DataTypes.BIGINT },
      sha256: text,
      frames: int,
      width: int,
      height: int,
      timeBaseNum: int,
      timeBaseDen: int,
      codec: text,
      playable: flag,
      hasSound: flag,
      seconds: num,
      cutOff: flag,
    },
  ],
  footage: [
    'footage',
    {
      title: text,
      setting: text,
      logged: text,
      live: flag,
      gi: flag,
      counted: flag,
      date: { type: DataTypes.DATEONLY },
      athleteA: id,
      athleteB: id,
      kitA: text,
      kitB: text,
      ruleset: text,
      level: text,
      place: text,
      surroundings: text,
      context: text,
      audience: text,
      clock: { type: DataTypes.JSON },
      spans: { type: DataTypes.JSON },
    },
  ],
  angle: [
    'angles',
    {
      footageId: id,
      fileId: id,
      fromFrame: int,
      toFrame: int,
      fromPts: num,
      toPts: num,
      offsetMs: num,
      rate: num,
      kind: text,
    },
  ],
  attempt: [
    'attempts',
    {
      footageId: id,
      angleId: id,
      subject: text,
      statePosition: text,
      stateRole: text,
      leadSide: text,
      action: text,
      intent: text,
      result: text,
      depth: int,
      finishKind: text,
      finishKey: text,
      finishRole: text,
      finishWon: flag,
      restartPosition: text,
      restartRole: text,
      resisted: flag,
      shownAs: text,
      parentId: id,
      series: int,
      counterOfId: id,
      followsId: id,
      isCut: flag,
      wanted: text,
      errors: { type: DataTypes.JSON },
      doubts: { type: DataTypes.JSON },
      startFrame: int,
      startPts: num,
      commitFrame: int,
      commitPts: num,
      endFrame: int,
      endPts: num,
    },
  ],
  control: [
    'controls',
    {
      attemptId: id,
      ordinal: int,
      holder: text,
      limb: text,
      limbSide: text,
      kind: text,
      target: text,
      targetOwner: text,
      targetSide: text,
      reach: text,
      cloth: flag,
      depth: text,
      thumb: text,
      handed: flag,
      won: flag,
      gainedFrame: int,
      gainedPts: num,
      lostFrame: int,
      lostPts: num,
    },
  ],
  reaction: ['attempt_reactions', { attemptId: id, ordinal: int, what: text, isAction: flag, deciding: flag }],
  reason: ['attempt_reasons', { attemptId: id, ordinal: int, reason: text, main: flag }],
  clip: [
    'clips',
    {
      attemptId: id,
      angleId: id,
      inFrame: int,
      inPts: num,
      outFrame: int,
      outPts: num,
      note: { type: DataTypes.TEXT },
      keyMoments: { type: DataTypes.JSON },
      loops: { type: DataTypes.JSON },
    },
  ],
  moment: [
    'moments',
    {
      footageId: id,
      angleId: id,
      atFrame: int,
      atPts: num,
      pressedFrame: int,
      pressedPts: num,
      speed: num,
      settled: flag,
      accountId: id,
      attemptId: id,
      position: text,
      role: text,
      subject: text,
      note: text,
    },
  ],
  route: ['routes', { name: text }],
  routeStep: [
    'route_steps',
    {
      routeId: id,
      ordinal: int,
      fromPlace: text,
      action: text,
      toPlace: text,
      clipId: id,
      cue: text,
      note: { type: DataTypes.TEXT },
    },
  ],
  word: [
    'word_changes',
    {
      kind: text,
      wordKey: text,
      name: text,
      hidden: flag,
      definition: { type: DataTypes.JSON },
      scopeKind: text,
      scopeId: id,
    },
  ],
  alias: ['word_aliases', { wordChangeId: id, alias: text, scopeKind: text, scopeId: id }],
} as const satisfies Record<string, readonly [string, ModelAttributes]>;

export type Entity = keyof typeof ENTITIES;

/** Attribute names of an entity's own columns. */
export const columnsOf = (entity: Entity): readonly string[] => Object.keys(ENTITIES[entity][1]);

/** Attribute names of an entity's flags. */
const FLAGS = Object.fromEntries(
  Object.entries(ENTITIES).map(([entity, [, columns]]) => [
    entity,
    Object.entries(columns as ModelAttributes).flatMap(([name, column]) => (column === flag ? name : [])),
  ]),
) as unknown as Record<Entity, readonly string[]>;
export const flagsOf = (entity: Entity): readonly string[] => FLAGS[entity];
