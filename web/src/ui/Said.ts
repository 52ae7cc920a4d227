/** Something that is wrong with what was typed, in words for the one who typed it. */
export class Said extends Error {}
