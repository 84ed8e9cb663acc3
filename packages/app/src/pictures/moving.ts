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

const attributeName = (name: string): string => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

export type PartNode = HTMLElement | SVGElement;

/** The parts of a picture that is drawn already. */
export const partsIn = (root: Element): readonly PartNode[] => [...root.querySelectorAll<PartNode>('[data-part]')];

/** Writes what has changed into the parts. Those that are not drawn are left out. */
export function write(nodes: readonly PartNode[], moving: Moving): void {
  for (const node of nodes) {
    for (const [name, value] of Object.entries(moving[node.dataset.part!] ?? {})) {
      if (value === undefined) continue;
      if (name === 'words') {
        // Into the text that React has put there, so that it finds it again.
        const text = node.firstChild ?? node;
        if (text.textContent !== value) text.textContent = value as string;
      } else if (typeof value === 'object') Object.assign(node.style, value);
      else if (node.getAttribute(attributeName(name)) !== String(value)) {
        node.setAttribute(attributeName(name), String(value));
      }
    }
  }
}
