/** What is being typed counts now: the field sends it as when it is left. */
export function commitTyped(): void {
    const field = document.activeElement;
    if (field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) field.blur();
}

/** Gives the keys back to the drawing, when what was typed is sent and nothing else has taken them meanwhile. */
export function backToDrawing(from: HTMLElement | null): void {
    if (document.activeElement !== from) return;
    const pane = document.querySelector<HTMLElement>('[data-pane=elevation], [data-pane=plan], [data-pane=section]');
    if (pane) pane.focus({ preventScroll: true });
    else from?.blur();
}
