/* What browsers have and the environment of these tests does not. */

// As browsers do it, for what our rows are made of; files are handed on as they are.
globalThis.structuredClone ??= (value) => {
  if (typeof value !== 'object' || value === null || value instanceof Blob) return value;
  if (Array.isArray(value)) return value.map(structuredClone);
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, structuredClone(each)]));
};
require('fake-indexeddb/auto');

AbortSignal.timeout ??= () => new AbortController().signal;
if ('Element' in globalThis) Element.prototype.scrollIntoView ??= () => undefined;

// Gauges in psi, weights in kilograms, as the numbers of the tests are.
if ('navigator' in globalThis) Object.defineProperty(globalThis.navigator, 'language', { value: 'en-AU' });
