/** With a capital at the start of a line, but for a symbol that begins with a small letter. */
export const capital = (text: string): string =>
  /^p[A-Z]/u.test(text) ? text : text.replace(/^./u, (first) => first.toUpperCase());
