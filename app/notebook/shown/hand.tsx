/** A hand that points: ink on paper. Its finger tip is at its zero. */
export function PointingHand() {
  return (
    <svg width="44" height="56" viewBox="-6 -2 44 56" aria-hidden className="overflow-visible">
      <path
        d="M0 0 C2.6 -1.6 5 -.4 6 2 L12 17 C14 14.6 17 14.8 18.4 17.4 C20.4 15.6 23.4 16.2 24.6 19 C26.8 17.8 29.4 19 30 21.8
          L33 33 C34.4 39 32 44 28 48 L29 52 L14 54 L12.6 49.6 C8 47 4.6 41 1.6 35.6 C-.4 32.2 2.4 29.6 5.4 31.8 L8.4 34 L-1.6 4 C-2.2 2.2 -1.4 .6 0 0 Z"
        className="fill-paper stroke-ink"
        strokeWidth={1.6}
        strokeLinejoin="round"
      />
      <path d="M12 17 L15 26 M18.4 17.4 L21 26 M24.6 19 L27 27" className="stroke-ink" strokeWidth={1.2} fill="none" />
    </svg>
  );
}
