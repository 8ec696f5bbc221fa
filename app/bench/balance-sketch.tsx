/** Where the pan of a balance is above the bench, mm. */
export const PAN_MM = 62;

/** A balance from the front: pan, housing, display. Its foot stands on y = 0, its axis is x = 0. */
export function BalanceDrawing({ display }: { display: string }) {
  return (
    <>
      <path
        d={`M-60 ${-PAN_MM} H60 V${-PAN_MM + 4} H-60 Z M-8 ${-PAN_MM + 4} V-50 H8 V${-PAN_MM + 4}`}
        className="stroke-ink fill-paper"
        strokeWidth={1.3}
      />
      <path d="M-82 -50 H82 L88 0 H-88 Z" className="stroke-ink fill-paper" strokeWidth={1.5} />
      <rect x={-62} y={-40} width={124} height={30} rx={2} className="fill-mist stroke-ink" strokeWidth={1} />
      <text
        x={40}
        y={-18}
        fontSize={display === 'overload' ? 17 : 22}
        textAnchor="end"
        className="fill-ink font-mono"
        data-testid="balance-display"
      >
        {display}
      </text>
      <text x={46} y={-18} fontSize={13} className="fill-ink-soft">
        g
      </text>
    </>
  );
}
