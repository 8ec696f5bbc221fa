/**
 * A field whose text is selected when it is entered, by key or by pointer, so that what is typed replaces it. A press in a field
 * that has the focus already places the caret as ever.
 */
export const SELECTS_ON_ENTERING = {
  onFocus: (event: React.FocusEvent<HTMLInputElement>) => event.currentTarget.select(),
  onMouseDown: (event: React.MouseEvent<HTMLInputElement>) => {
    if (document.activeElement === event.currentTarget) return;
    // The press itself would put the caret where it was, and so take the selection away again.
    event.preventDefault();
    event.currentTarget.focus();
  },
};
