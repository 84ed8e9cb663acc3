import { CALCULATORS } from '@dunlinmoss/contract/api';

/** Runs in a thread of its own: one calculator on an input that its schema has taken. */
export default function calculate({ name, input }: { readonly name: string; readonly input: unknown }): unknown {
  const calculator = CALCULATORS.find((each) => each.name === name);
  if (!calculator) throw new Error(`No calculator is called ${name}`);
  return calculator.run(input);
}

/** Answers as soon as the thread has read in what it needs. */
export function ready(): true {
  return true;
}
