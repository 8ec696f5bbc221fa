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
