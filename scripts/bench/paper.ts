import type { Sheet } from '@dunlinmoss/contract';
import { sheetsPdf } from '@dunlinmoss/paper';
import { facesHere } from '@dunlinmoss/paper/faces';

/** Cards of a farm as one PDF: what 300 take beside 30, a card, and beside making each by itself. */

const fonts = facesHere();

/** As full as the card of a machine is: each with numbers of its own. */
const card = (index: number): Sheet => ({
  title: `Machine ${index}`,
  about: `Cold pressures in psi · Tractor · loaded: Ploughing · ${1_000 + index} kg a wheel · 2 May 2026`,
  parts: [
    {
      head: ['Ground', 'Front axle', 'Rear axle', 'mph'],
      rows: Array.from({ length: 9 }, (_, row) => {
        const psi = 9 + ((index + row) % 40);
        return [
          `Ground ${row}`,
          `${psi} (${psi - 1}–${psi + 1}) ≥ ${psi - 2}`,
          `${psi + 3} (${psi + 2}–${psi + 4}) ≥ 9`,
          '25',
        ];
      }),
    },
    {
      title: 'Mind',
      bullets: Array.from({ length: 6 }, (_, at) => `Caution ${at}. ${'Soft tires overheat. '.repeat(5)}`),
    },
  ],
  foot: 'Cold. Sidewall, placard, local law and a qualified tire fitter overrule this card.',
});
const cards = (many: number): Sheet[] => Array.from({ length: many }, (_, index) => card(index));

async function msOf(sheets: readonly Sheet[]): Promise<{ ms: number; bytes: number }> {
  const begun = performance.now();
  const { length } = await sheetsPdf({ name: 'cards', paper: 'A6', sheets }, fonts);
  return { ms: performance.now() - begun, bytes: length };
}

async function measure(): Promise<void> {
  await msOf(cards(30));
  const few = await msOf(cards(30));
  const many = await msOf(cards(300));
  let single = 0;
  for (const each of cards(30)) single += (await msOf([each])).ms;
  process.stdout.write(
    JSON.stringify({ fewMs: few.ms / 30, manyMs: many.ms, bytes: many.bytes, singleMs: single / 30 }),
  );
}

void measure();
