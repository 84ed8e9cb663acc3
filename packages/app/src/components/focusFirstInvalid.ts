/** After a form was refused: the first field that says so takes the focus, once it is drawn; of a dialog where one is open. */
export function focusFirstInvalid(): void {
  requestAnimationFrame(() => {
    const shown = document.querySelector('[aria-modal="true"]') ?? document;
    const field = shown.querySelector<HTMLElement>('[aria-invalid="true"]');
    field?.focus({ preventScroll: true });
    // In the middle: what is wrong is said below it.
    field?.scrollIntoView({ block: 'center' });
  });
}
