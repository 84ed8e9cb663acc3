import { z } from 'zod';

/*
 * What is to be printed, word by word, as the device that asks for it says it: in its units, by what it keeps. Whoever lays it
 * out needs to know nothing of tires.
 */

/** Longest line of words, before it is broken; the longest caution is a third of it. */
const words = z.string().max(2_000);
/** The most parts of a sheet, and lines, rows or bars of a part. */
const MOST_PARTS = 200;
const MOST_LINES = 5_000;
const MOST_COLUMNS = 50;
/** The most sheets of one file. */
export const MOST_SHEETS = 2_000;

const list = <Of extends z.ZodType>(of: Of, most = MOST_LINES) => z.array(of).max(most).readonly();
const share = z.number().min(0).max(1);

/** A stretch of a strip: how much of its width, how high what stands in it, and what is written on it and below. */
const bar = z
  .strictObject({
    share,
    level: share,
    name: words,
    foot: words,
    /** Begins with a post. */
    post: z.boolean(),
  })
  .readonly();

const title = words.optional();

/** A part of a sheet: a picture of bars, a table, labelled lines, or a list, under a heading where it has one. */
const sheetPart = z.union([
  z
    .strictObject({
      title,
      head: z.array(words).min(1).max(MOST_COLUMNS).readonly(),
      rows: list(z.array(words).readonly()),
    })
    .refine(({ head, rows }) => rows.every((cells) => cells.length === head.length), {
      path: ['rows'],
      error: 'Expected as many cells in each row as the table has columns',
    })
    .readonly(),
  z.strictObject({ title, lines: list(z.tuple([words, words]).readonly()) }).readonly(),
  z.strictObject({ title, bullets: list(words) }).readonly(),
  z.strictObject({ title, bars: list(bar, MOST_COLUMNS) }).readonly(),
]);

/** One page to print or keep: the same for screen, paper and text. */
const sheet = z
  .strictObject({ title: words, about: words, parts: list(sheetPart, MOST_PARTS), foot: words })
  .readonly();

/** What a sheet is printed on: a page on the wall across, a half page upright, as large as a hand. */
const paper = z.enum(['A4', 'A5', 'A6']);

/** Sheets for one file, each on a page of its own, or several; `name` is what the file is called. */
export const sheets = z.strictObject({
  name: z.string().min(1).max(120),
  paper,
  sheets: z.array(sheet).min(1).max(MOST_SHEETS).readonly(),
});

export type SheetBar = z.infer<typeof bar>;
export type SheetPart = z.infer<typeof sheetPart>;
export type Sheet = z.infer<typeof sheet>;
export type Paper = z.infer<typeof paper>;
export type Sheets = z.infer<typeof sheets>;
