/** A name as somebody typed it: signs that would turn or hide what stands beside them are shown as what they are. */
export const visibleName = (name: string): string =>
  name.replace(
    /[\p{Cf}\p{Cc}]/gu,
    (sign) => `[U+${(sign.codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, '0')}]`,
  );
