/** Tells the time zone of this browser along with a form. */
export function BrowserZone() {
  const tell = (input: HTMLInputElement | null) => {
    if (input) input.value = Intl.DateTimeFormat().resolvedOptions().timeZone;
  };
  return <input type="hidden" name="timeZone" ref={tell} defaultValue="" />;
}
