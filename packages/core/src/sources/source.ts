/**
 * Where a figure comes from. Every constant, step of working and check in the project carries one of these marks.
 *
 * - `published`: a named publication. We hold no copy, so the value is given from memory.
 * - `commonPractice`: a fact of the trade that has no single source.
 * - `exact`: a definition or closed-form mathematics.
 * - `assumption`: ours; shown to the person and replaced by their own measurement when there is one.
 * - `marked`: stands on the person's own tire, placard or data sheet.
 * - `measured`: the person's own measurement.
 * - `chosen`: the person's own choice.
 */
export type Source =
  | { readonly mark: 'published'; readonly reference: string }
  | { readonly mark: 'commonPractice' }
  | { readonly mark: 'exact' }
  | { readonly mark: 'assumption' }
  | { readonly mark: 'marked' }
  | { readonly mark: 'measured' }
  | { readonly mark: 'chosen' };

export type SourceMark = Source['mark'];

export const published = (reference: string): Source => ({ mark: 'published', reference });
export const commonPractice: Source = { mark: 'commonPractice' };
export const exact: Source = { mark: 'exact' };
export const assumption: Source = { mark: 'assumption' };
export const marked: Source = { mark: 'marked' };
export const measured: Source = { mark: 'measured' };
export const chosen: Source = { mark: 'chosen' };
