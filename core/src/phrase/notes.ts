/** Characters [from, to) of a text, in UTF-16 units. */
export type Stretch = { readonly from: number; readonly to: number };

/** What is left unread: in brackets, in quotes; to the end of the line after `#`, `//`, `note:` or a dash between spaces. */
const NOTES =
  /\((?<round>[^()]*)\)|\[(?<square>[^[\]]*)\]|\{(?<curly>[^{}]*)\}|"(?<plain>[^"]*)"|[“„](?<curved>[^“”„]*)[”“]|«(?<angled>[^«»]*)»|(?<=^|[\s,;])['‘](?<single>[^'‘’]{2,}?)['’](?=$|[\s,;.])|(?<=^|[\s,;.])#\s?(?<hash>[^\n]*)|(?<=^|\s)\/\/\s?(?<strokes>[^\n]*)|\bnotes?\s*:\s*(?<named>[^\n]*)|(?<=\S)\s+[-–—]\s+(?<dashed>[^\n]*)/giu;

/**
 * The notes of a line, each with where its words stand and where it stands itself with its signs, in the order of the text. What is not closed is no note.
 * @example notesIn('armbar, tap (left arm)') // one: inner "left arm"
 */
export const notesIn = (text: string): readonly { readonly whole: Stretch; readonly inner: Stretch }[] =>
  [...text.matchAll(NOTES)].flatMap((found) => {
    const words = Object.values(found.groups ?? {}).find((w) => w !== undefined) ?? '';
    const inner = words.trim();
    if (inner === '') return [];
    const from = found.index + found[0].lastIndexOf(words) + words.indexOf(inner);
    return [
      {
        whole: { from: found.index, to: found.index + found[0].length },
        inner: { from, to: from + inner.length },
      },
    ];
  });
