/** The papers that there are. */

export const PAPER_KINDS = ['cellulose', 'glass'] as const;

export type PaperKind = (typeof PAPER_KINDS)[number];

export const PAPER_NAMES: Record<PaperKind, string> = { cellulose: 'filter paper', glass: 'glass-fibre paper' };
