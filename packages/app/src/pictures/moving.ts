/*
 * What is dragged is drawn without React: a picture says which of its parts stand where, once, and both its own drawing
 * and the writing under the finger go by that.
 */

/** One part: its attributes by their names in a drawing, and the words in it. */
export interface Part {
  readonly words?: string;
  readonly style?: Readonly<Record<string, string>>;
  readonly [attribute: string]: string | number | Readonly<Record<string, string>> | undefined;
}

/** What changes in a picture, by the names that its parts bear as `data-part`. */
export type Moving = Readonly<Record<string, Part>>;

const attributeNames = new Map<string, string>();
/** `strokeWidth` is `stroke-width` in the page. */
function attributeName(name: string): string {
  const known = attributeNames.get(name);
  if (known !== undefined) return known;
  const said = name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
  attributeNames.set(name, said);
  return said;
}

type PartNode = HTMLElement | SVGElement;

/** Writes what has changed into the parts of a picture, and says whether anything had. Those that are not drawn are left out. */
export interface Writer {
  readonly all: (moving: Moving) => boolean;
  /** A few of the parts that have changed, those whose turn it is. */
  readonly some: (moving: Moving) => boolean;
}

/** In how many turns all parts of a picture are written. */
const TURNS = 3;

/**
 * The way to write into a picture that is drawn already, until React draws it anew. What was written last is known: to ask
 * the page for it, or to say the same again, takes a slow phone longer than to work it out.
 */
export function writerOf(root: Element): Writer {
  const parts = [...root.querySelectorAll<PartNode>('[data-part]')].map(partOf);
  let next = 0;
  /** Goes on from the part it came to last, until so many have been written. */
  const write = (moving: Moving, most: number): boolean => {
    let written = 0;
    for (let asked = 0; asked < parts.length && written < most; asked += 1) {
      if (parts[next]!(moving)) written += 1;
      next = (next + 1) % parts.length;
    }
    return written > 0;
  };
  return {
    all: (moving) => write(moving, parts.length),
    some: (moving) => write(moving, Math.ceil(parts.length / TURNS)),
  };
}

/** Writes into one part; whether anything had changed. */
function partOf(node: PartNode): (moving: Moving) => boolean {
  const name = node.dataset.part!;
  // Into the text that React has put there, so that it finds it again.
  const text = node.firstChild ?? node;
  const written = new Map<string, string | number>();
  const isNew = (key: string, value: string | number): boolean => {
    if (written.get(key) === value) return false;
    written.set(key, value);
    return true;
  };
  return (moving) => {
    const part = moving[name];
    let changed = false;
    for (const key in part) {
      const value = part[key];
      if (value === undefined) continue;
      if (typeof value === 'object') {
        for (const [each, said] of Object.entries(value)) {
          if (!isNew(`${key}.${each}`, said)) continue;
          node.style[each as 'color'] = said;
          changed = true;
        }
      } else if (isNew(key, value)) {
        if (key === 'words') text.textContent = value as string;
        else node.setAttribute(attributeName(key), String(value));
        changed = true;
      }
    }
    return changed;
  };
}
