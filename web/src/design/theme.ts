import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';
import { breakpoints, menuSlotRecipe, tokens } from '@chakra-ui/react/theme';

/** Every colour by its meaning; the values stand in the two rooms below. */
const COLOURS = [
  'ground',
  'raised',
  'ink',
  'inkSoft',
  'hairline',
  'field',
  'us',
  'them',
  'inHand',
  'inHandSoft',
  'caution',
  'cautionSoft',
] as const;

type Colour = (typeof COLOURS)[number];

const paper: Record<Colour, string> = {
  ground: '#f6f2e8',
  raised: '#fdfbf5',
  ink: '#20241f',
  inkSoft: '#55594f',
  hairline: '#cdc6b3',
  field: '#8b8877',
  us: '#0e5a5a',
  them: '#85560a',
  inHand: '#56379c',
  inHandSoft: '#e9e2f6',
  caution: '#ab2119',
  cautionSoft: '#fbe9e4',
};

const dark: Record<Colour, string> = {
  ground: '#131513',
  raised: '#1d201d',
  ink: '#efebdf',
  inkSoft: '#b0ad9d',
  hairline: '#3a3e38',
  field: '#7f8378',
  us: '#58bdb5',
  them: '#dcaa4c',
  inHand: '#b9a3f2',
  inHandSoft: '#322a4a',
  caution: '#ff9384',
  cautionSoft: '#3a211d',
};

const variables = (room: Record<Colour, string>): Record<`--od-${Colour}`, string> =>
  Object.fromEntries(COLOURS.map((name) => [`--od-${name}`, room[name]])) as Record<`--od-${Colour}`, string>;

const HEADING = "'Barlow Condensed', 'Arial Narrow', sans-serif";
const BODY = "'Public Sans Variable', system-ui, sans-serif";
const MONO = "'JetBrains Mono Variable', ui-monospace, monospace";

const config = defineConfig({
  globalCss: {
    ':root': variables(paper),
    "[data-room='dark']": variables(dark),
    'html, body, #root': { height: '100%', _print: { height: 'auto' } },
    body: { background: 'ground', color: 'ink', fontFamily: BODY, fontSize: '15px', lineHeight: 1.45 },
    '*': { borderColor: 'hairline' },
    'input[type=range]': { accentColor: 'var(--od-ink)' },
    'input[type=checkbox]': {
      appearance: 'none',
      flexShrink: 0,
      width: '16px',
      height: '16px',
      display: 'inline-grid',
      placeContent: 'center',
      verticalAlign: '-3px',
      border: '1.5px solid var(--od-field)',
      background: 'transparent',
      cursor: 'pointer',
      '&:checked': { background: 'var(--od-ink)', borderColor: 'var(--od-ink)' },
      '&:checked::before': {
        content: '""',
        width: '10px',
        height: '10px',
        background: 'var(--od-ground)',
        clipPath: 'polygon(14% 47%, 0 62%, 40% 100%, 100% 22%, 85% 8%, 39% 70%)',
      },
    },
    '*:focus-visible': { outline: '2px solid var(--od-inHand)', outlineOffset: '2px' },
    '::selection': { background: 'inHandSoft' },
    // a sheet on paper: what is read, not what is pressed
    'header, .no-print': { _print: { display: 'none !important' } },
    'main, main *': { _print: { overflow: 'visible !important' } },
    '.sr-only': {
      position: 'absolute',
      width: '1px',
      height: '1px',
      overflow: 'hidden',
      clipPath: 'inset(50%)',
      whiteSpace: 'nowrap',
    },
  },
  theme: {
    tokens: {
      colors: Object.fromEntries(COLOURS.map((name) => [name, { value: `var(--od-${name})` }])),
      fonts: { heading: { value: HEADING }, body: { value: BODY }, mono: { value: MONO } },
    },
  },
});

/**
 * Of the theme that comes with the components only what is used: its measures, and the recipe of the menu. Laying all of it together takes a tenth of a
 * second at every start of the page.
 */
const used = defineConfig({
  preflight: true,
  cssVarsPrefix: 'chakra',
  cssVarsRoot: ':where(html, .chakra-theme)',
  theme: {
    breakpoints,
    tokens: { spacing: tokens.spacing, sizes: tokens.sizes, zIndex: tokens.zIndex },
    slotRecipes: { menu: menuSlotRecipe },
  },
});

export const makeSystem = (): ReturnType<typeof createSystem> => createSystem(defaultBaseConfig, used, config);

/** Font of labels measured for the map: the same that is drawn. */
export const MAP_LABEL_FONT = `500 14px ${HEADING}`;
