import type { QueryInterface, Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { StartFault } from '../config/startFault.js';
import { IN_THE_WAY, patiently } from './deadlock.js';
import { inTurn } from './turn.js';
import * as first from './migrations/0001-first.js';
import * as peopleWordsRoutes from './migrations/0002-people-words-routes.js';
import * as jobsUploads from './migrations/0003-jobs-uploads.js';
import * as marksReach from './migrations/0004-marks-reach.js';
import * as detail from './migrations/0005-detail.js';
import * as answers from './migrations/0006-answers.js';
import * as doors from './migrations/0007-doors.js';
import * as media from './migrations/0008-media.js';
import * as proposed from './migrations/0009-proposed.js';
import * as aliasLanguage from './migrations/0010-alias-language.js';
import * as rowsOnce from './migrations/0011-rows-once.js';
import * as planned from './migrations/0012-planned.js';
import * as endAssumed from './migrations/0013-end-assumed.js';
import * as why from './migrations/0014-why.js';
import * as adviceListsDrawings from './migrations/0015-advice-lists-drawings.js';
import * as views from './migrations/0016-views.js';
import * as aims from './migrations/0017-aims.js';
import * as theirs from './migrations/0018-theirs.js';
import * as policy from './migrations/0022-policy.js';
import * as plans from './migrations/0019-plans.js';
import * as routeBranches from './migrations/0021-route-branches.js';
import * as speakerCollections from './migrations/0020-speaker-collections.js';

const MIGRATIONS = [
  first,
  peopleWordsRoutes,
  jobsUploads,
  marksReach,
  detail,
  answers,
  doors,
  media,
  proposed,
  aliasLanguage,
  rowsOnce,
  planned,
  endAssumed,
  why,
  adviceListsDrawings,
  views,
  aims,
  theirs,
  plans,
  speakerCollections,
  routeBranches,
  policy,
] as const;

type Step = { readonly context: QueryInterface };
/** So often a migration that waited for a lock in vain is begun again; each waits as long as the database lets it. */
const TRIES = 5;
/** Begins again where another is in its way: each of its steps passes over what is done. */
const inTheEnd =
  (run: (step: Step) => Promise<void>) =>
  (step: Step): Promise<void> =>
    patiently(() => run(step), TRIES, IN_THE_WAY);

/** All migrations, in order; numbered, reversible. */
export const migrator = (sequelize: Sequelize): Umzug<ReturnType<Sequelize['getQueryInterface']>> =>
  new Umzug({
    migrations: MIGRATIONS.map(({ name, up, down }) => ({ name, up: inTheEnd(up), down: inTheEnd(down) })),
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });

/** Whether the database is of this version. */
export const isMigrated = async (sequelize: Sequelize): Promise<boolean> =>
  (await migrator(sequelize).pending()).length === 0;

/** So long a server waits for another that is bringing the same database to this version, in seconds. */
const TURN_S = 300;

/**
 * Brings the database to this version. Data of a newer version are left as they are; a migration that was cut short is run again from its beginning,
 * each of its steps passing over what is done.
 */
export const migrateUp = async (sequelize: Sequelize): Promise<void> => {
  // one server at a time: several may be started on one database at once
  if (!(await inTurn(sequelize, 'migrate', TURN_S, () => up(sequelize))))
    throw new StartFault(
      'Another server has been bringing the database to this version for too long; see to it first.',
    );
};

const up = async (sequelize: Sequelize): Promise<void> => {
  const umzug = migrator(sequelize);
  const known = new Set<string>(MIGRATIONS.map((m) => m.name));
  const executed = await new SequelizeStorage({ sequelize, tableName: 'migrations' }).executed();
  const unknown = executed.filter((name) => !known.has(name));
  if (unknown.length)
    throw new StartFault(
      `The data were written by a newer version of Odograph (${unknown.join(', ')}). Start that version, or put an older copy of the data folder in its place; nothing was changed.`,
    );
  await umzug.up();
};
