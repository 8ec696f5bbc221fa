/** A text whose numbers keep their units on the same line: “0.87 J g⁻¹ K⁻¹” does not break. */
export const unbroken = (text: string): string => text.replace(/(?<=\d) (?=[\p{L}%°Ω])| (?=\p{L}+[⁻¹²³])/gu, '\u00a0');
