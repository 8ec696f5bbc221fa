/** Colours of what falls out of solutions, in words and as flat washes. */
export const SOLID_LOOKS = {
  white: '#fbfbf8',
  cream: '#f6efd2',
  'pale yellow': '#f3ecac',
  'golden yellow': '#f2c21a',
  yellow: '#f0d033',
  'brick red': '#a2402a',
  brown: '#6b4a35',
  'rust brown': '#a65b2a',
  'pale blue': '#a9cfe4',
  'blue green': '#8fcfc0',
  'dirty green': '#7d957c',
  'grey green': '#9bb09a',
  'dark grey': '#3f3c46',
} as const;
export type SolidLook = keyof typeof SOLID_LOOKS;
