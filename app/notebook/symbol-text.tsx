/** A symbol as it is printed: slanted, what follows the first underscore set below the line. */
export function SymbolText({ symbol }: { symbol: string }) {
  const at = symbol.indexOf('_');
  if (at < 1) return <i className="font-serif">{symbol}</i>;
  return (
    <i className="font-serif">
      {symbol.slice(0, at)}
      <sub>{symbol.slice(at + 1)}</sub>
    </i>
  );
}

const WORDS = /([\p{L}][\p{L}\p{N}]*(?:_[\p{L}\p{N}]+)?)(\s*\()?/u;

/** A formula as it is printed: symbols slanted with what follows the underscore lowered, a real minus, a dot for times. */
export function FormulaText({ text }: { text: string }) {
  const [formula = '', ...unit] = text.split(/(?=→|->)/u);
  const parts: React.ReactNode[] = [];
  let rest = formula;
  for (let match = WORDS.exec(rest); match; match = WORDS.exec(rest)) {
    const [whole, word = '', call] = match;
    parts.push(signs(rest.slice(0, match.index)));
    // Names of functions stand upright, and so do units behind a number.
    const isUpright = call !== undefined || /[\d)]\s*$/.test(rest.slice(0, match.index));
    parts.push(isUpright ? whole : <SymbolText key={parts.length} symbol={word} />);
    rest = rest.slice(match.index + whole.length);
  }
  return (
    <>
      {parts}
      {signs(rest)}
      {unit.join('')}
    </>
  );
}

const signs = (text: string) => text.replaceAll('*', ' · ').replaceAll('-', '\u2212');
