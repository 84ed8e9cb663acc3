/** Whatever else is going on, and in a tab that nobody looks at, ms. */
const AT_LATEST_MS = 2_000;

let stands = (): void => undefined;
let standing: Promise<void> = Promise.resolve();

/** The application opens: from now on a first screen is waited for. */
export function firstScreenComes(): void {
  standing = new Promise((resolve) => {
    const latest = setTimeout(resolve, AT_LATEST_MS);
    stands = () => {
      clearTimeout(latest);
      resolve();
    };
  });
}

/** The first screen is drawn with its rows. */
export const firstScreenStands = (): void => stands();

/** Once the first screen is drawn, or after a while: for what would stand in its way and nobody waits for. */
export const afterFirstScreen = (): Promise<void> => standing;
