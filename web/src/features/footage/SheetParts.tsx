import { Box, Flex } from '@chakra-ui/react';
import { SKEWS } from '@odograph/core';
import { useId } from 'react';
import { Choice, Counted, Labelled, Picked, YesNo } from '../../design/index.js';
import { useLibrary } from '../library/index.js';
import { FOOTAGE_TEXT as T, SETTING_WORDS } from './footage.text.js';
import { notAgreed, type Sheet, type SheetProblem } from './sheet.js';

type Props = { readonly sheet: Sheet; readonly set: (change: Partial<Sheet>) => void };

/** Who is who, and what each wears. */
export const SheetWho = ({
  sheet,
  set,
  problem,
}: Props & { readonly problem: (field: SheetProblem['field']) => string | undefined }): React.JSX.Element => {
  const names = useId();
  const { persons } = useLibrary();
  return (
    <>
      <datalist id={names}>
        {persons.map((p) => (
          <option key={p.id} value={p.name} />
        ))}
      </datalist>
      {(
        [
          ['first', 'kitA', T.first, 'us'],
          ['second', 'kitB', T.second, 'them'],
        ] as const
      ).map(([who, kit, label, colour]) => (
        <Flex
          key={who}
          gap="8"
          marginBottom="5"
          borderLeftWidth="4px"
          borderColor={colour}
          borderLeftStyle={colour === 'us' ? 'solid' : 'dashed'}
          paddingLeft="3"
        >
          <Labelled label={label} problem={problem(who)}>
            <Counted
              name={who}
              list={names}
              limit={120}
              value={sheet[who]}
              onChange={(e) => set({ [who]: e.target.value })}
            />
          </Labelled>
          <Labelled label={T.kit}>
            <Counted
              name={kit}
              limit={120}
              placeholder={T.kitHint}
              value={sheet[kit]}
              onChange={(e) => set({ [kit]: e.target.value })}
            />
          </Labelled>
        </Flex>
      ))}
    </>
  );
};

/** What kind of event it was, and what stood around it. */
export const SheetEvent = ({ sheet, set }: Props): React.JSX.Element => (
  <>
    <Flex gap="8" marginBottom="2" wrap="wrap">
      <Choice
        label={T.setting}
        name="setting"
        value={sheet.setting}
        options={(['competition', 'training', 'demonstration'] as const).map((s) => [s, SETTING_WORDS[s]] as const)}
        onChange={(setting) => set({ setting })}
      />
      <Choice
        label={T.gi}
        name="gi"
        value={sheet.gi ? 'gi' : 'no-gi'}
        options={[
          ['gi', T.clothing.gi],
          ['no-gi', T.clothing['no-gi']],
        ]}
        onChange={(gi) => set({ gi: gi === 'gi' })}
      />
    </Flex>
    <Flex gap="8" marginTop="5" marginBottom="5">
      {(
        [
          ['ruleset', T.ruleset, T.rulesetHint],
          ['level', T.level, T.levelHint],
          ['place', T.place, ''],
          ['speaker', T.speaker, T.speakerHint],
        ] as const
      ).map(([field, label, hint]) => (
        <Labelled key={field} label={label}>
          <Counted
            name={field}
            limit={120}
            placeholder={hint}
            value={sheet[field]}
            onChange={(e) => set({ [field]: e.target.value })}
          />
        </Labelled>
      ))}
    </Flex>
    <Flex gap="8" marginBottom="5" wrap="wrap">
      <Choice
        label={T.surroundings}
        name="surroundings"
        value={sheet.surroundings}
        options={[
          ['', T.around['']],
          ['open', T.around.open],
          ['edge', T.around.edge],
          ['wall', T.around.wall],
        ]}
        onChange={(surroundings) => set({ surroundings })}
      />
      <Choice
        label={T.audience}
        name="audience"
        value={sheet.audience}
        options={[
          ['academy', T.audiences.academy],
          ['coaches', T.audiences.coaches],
        ]}
        onChange={(audience) => set({ audience })}
      />
    </Flex>
  </>
);

/** Who has not agreed yet to be shown to students, and the word that they have. */
export const SheetConsent = ({ sheet, set }: Props): React.JSX.Element | null => {
  const missing = notAgreed(sheet, useLibrary().persons);
  if (!missing.length) return null;
  return (
    <Box borderLeftWidth="3px" borderColor="caution" paddingLeft="3" marginBottom="5" data-testid="consent">
      <Box marginBottom="1">{T.notShown(missing.map(({ name }) => name))}</Box>
      {missing.map(({ who, name }) => (
        <Box as="label" key={who} display="flex" gap="2" alignItems="center" cursor="pointer">
          <input
            type="checkbox"
            checked={sheet.agreed.includes(who)}
            onChange={(e) =>
              set({ agreed: [...sheet.agreed.filter((w) => w !== who), ...(e.target.checked ? [who] : [])] })
            }
          />
          {T.hasAgreed(name)}
        </Box>
      ))}
    </Box>
  );
};

/** Whether it counts, and the usual reasons for which its figures say less; of training, whether it was live. */
export const SheetCounts = ({ sheet, set }: Props): React.JSX.Element => (
  <Flex gap="8" marginBottom="5" wrap="wrap" alignItems="flex-start">
    <YesNo
      label={T.counted}
      name="counted"
      is={sheet.counted}
      words={T.counts}
      onChange={(counted) => set({ counted })}
    />
    {sheet.setting === 'training' && (
      <YesNo label={T.live} name="live" is={sheet.live} words={T.lives} onChange={(live) => set({ live })} />
    )}
    <Labelled label={T.skewedBy}>
      <Picked
        name="skewedBy"
        value={sheet.skewedBy}
        onChange={(e) => set({ skewedBy: e.target.value as Sheet['skewedBy'] })}
      >
        {(['', ...SKEWS] as const).map((skew) => (
          <option key={skew} value={skew}>
            {T.skews[skew]}
          </option>
        ))}
      </Picked>
    </Labelled>
  </Flex>
);
