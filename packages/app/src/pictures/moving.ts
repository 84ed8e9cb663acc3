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

/** Writes what has changed into the parts of a picture. Those that are not drawn are left out. */
export type Writer = (moving: Moving) => void;

/**
 * The way to write into a picture that is drawn already, until React draws it anew. What was written last is known: to ask
 * the page for it, or to say the same again, takes a slow phone longer than to work it out.
 */
export function writerOf(root: Element): Writer {
  const parts = [...root.querySelectorAll<PartNode>('[data-part]')].map((node) => ({
    node,
    name: node.dataset.part!,
    // Into the text that React has put there, so that it finds it again.
    text: node.firstChild ?? node,
    written: new Map<string, string | number>(),
  }));
  return (moving) => {
    for (const { node, name, text, written } of parts) {
      const isNew = (key: string, value: string | number): boolean => {
        if (written.get(key) === value) return false;
        written.set(key, value);
        return true;
      };
      const part = moving[name];
      for (const key in part) {
        const value = part[key];
        if (value === undefined) continue;
        if (typeof value === 'object') {
          for (const [each, said] of Object.entries(value)) {
            if (isNew(`${key}.${each}`, said)) node.style[each as 'color'] = said;
          }
        } else if (isNew(key, value)) {
          if (key === 'words') text.textContent = value as string;
          else node.setAttribute(attributeName(key), String(value));
        }
      }
    }
  };
}
