import type { Paper } from '@dunlinmoss/contract';

const styleFor = (paper: Paper): string => `
@media screen { #print-sheet { display: none } }
@media print {
  html, body { height: auto !important; overflow: visible !important; background: #fff !important }
  body > *:not(#print-sheet) { display: none !important }
  ${paper === 'A6' ? '#print-sheet { zoom: 0.72 }' : ''}
  ${paper === 'A4' ? '#print-sheet > * { max-width: none !important; min-width: 0 !important }' : ''}
  #print-sheet, #print-sheet * { color: #000 !important; background: #fff !important; border-color: #000 !important }
  @page { size: ${paper === 'A4' ? 'A4 landscape' : paper}; margin: ${paper === 'A6' ? 6 : 10}mm }
}`;

/** Prints one part of the screen alone, in black on white: a copy of it stands beside the application meanwhile. */
export function printSheet(id: string, paper: Paper): void {
  const part = document.getElementById(id);
  if (!part) return;
  const style = document.createElement('style');
  style.textContent = styleFor(paper);
  const sheet = document.createElement('div');
  sheet.id = 'print-sheet';
  const copy = part.cloneNode(true) as HTMLElement;
  copy.removeAttribute('id');
  sheet.append(copy);
  document.head.append(style);
  document.body.append(sheet);
  window.print();
  sheet.remove();
  style.remove();
}
