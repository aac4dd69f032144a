import type { Kit } from '../picture/raster.js';

/** Somebody on the made-up footage: the name, and what they wear in words and in colours. */
export type Athlete = { readonly name: string; readonly wears: string; readonly kit: Kit };

/** Everybody who is filmed, all of them invented. */
export const PEOPLE = {
  isolde: {
    name: 'Isolde Marrable',
    wears: 'white jacket, violet belt',
    kit: {
      wear: 'gi',
      jacket: [236, 231, 218],
      trouser: [222, 216, 202],
      belt: [96, 58, 140],
      hair: [52, 36, 28],
      skin: [214, 168, 138],
    },
  },
  tovi: {
    name: 'Tovi Askerud',
    wears: 'blue jacket, brown belt',
    kit: {
      wear: 'gi',
      jacket: [76, 103, 148],
      trouser: [66, 90, 132],
      belt: [120, 70, 34],
      hair: [24, 22, 22],
      skin: [178, 126, 96],
    },
  },
  corin: {
    name: 'Corin Vasterly',
    wears: 'red shirt, dark shorts',
    kit: {
      wear: 'no-gi',
      jacket: [178, 62, 54],
      trouser: [52, 50, 56],
      belt: [232, 222, 206],
      hair: [92, 58, 34],
      skin: [222, 176, 146],
    },
  },
  nadja: {
    name: 'Nadja Quillfeather',
    wears: 'green shirt, sand shorts',
    kit: {
      wear: 'no-gi',
      jacket: [48, 116, 92],
      trouser: [196, 178, 138],
      belt: [28, 40, 44],
      hair: [26, 22, 24],
      skin: [168, 118, 88],
    },
  },
  renko: {
    name: 'Renko Hallvard',
    wears: 'charcoal jacket, blue belt',
    kit: {
      wear: 'gi',
      jacket: [74, 78, 84],
      trouser: [66, 70, 76],
      belt: [58, 108, 190],
      hair: [122, 84, 44],
      skin: [226, 180, 150],
    },
  },
  odile: {
    name: 'Odile Sabrecourt',
    wears: 'white jacket, black belt',
    kit: {
      wear: 'gi',
      jacket: [240, 238, 232],
      trouser: [228, 226, 220],
      belt: [34, 32, 34],
      hair: [30, 24, 22],
      skin: [150, 104, 78],
    },
  },
  bastian: {
    name: 'Bastian Elmhorst',
    wears: 'grey shirt, blue shorts',
    kit: {
      wear: 'no-gi',
      jacket: [126, 130, 138],
      trouser: [48, 78, 138],
      belt: [232, 232, 228],
      hair: [150, 108, 60],
      skin: [228, 184, 154],
    },
  },
  ysolde: {
    name: 'Ysolde Trannock',
    wears: 'orange shirt, black shorts',
    kit: {
      wear: 'no-gi',
      jacket: [206, 120, 48],
      trouser: [40, 38, 42],
      belt: [250, 226, 170],
      hair: [40, 30, 26],
      skin: [142, 98, 72],
    },
  },
  pell: {
    name: 'Pell Quarrier',
    wears: 'blue jacket, blue belt',
    kit: {
      wear: 'gi',
      jacket: [66, 104, 128],
      trouser: [60, 94, 116],
      belt: [58, 108, 190],
      hair: [168, 130, 78],
      skin: [232, 192, 166],
    },
  },
  maren: {
    name: 'Maren Oxblood',
    wears: 'teal shirt, black shorts',
    kit: {
      wear: 'no-gi',
      jacket: [46, 134, 142],
      trouser: [44, 42, 46],
      belt: [236, 206, 120],
      hair: [112, 46, 34],
      skin: [214, 164, 134],
    },
  },
} as const satisfies Readonly<Record<string, Athlete>>;
