/** What an empty screen says to students: what there is may not be shown to them yet. */
export const NOTHING_FOR_STUDENTS =
  'Nothing here may be shown to the whole academy yet. Your coaches set that for each person on the footage.';
