/* Apart from the schemas: the words of every page tell them, and the first page carries no schemas. */

/** Letters of a person's name. */
export const NAME_LENGTH = { least: 2, most: 40 };
/** Long, not complicated. Assumption: twelve characters, as common advice for pass-phrases goes. */
export const PASSPHRASE_LENGTH = { least: 12, most: 200 };
