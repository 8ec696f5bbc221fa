import type { SeenSolid } from './look';

/** A solid in words, as fine as an eye tells it; for the browser too, so that nothing of the chemistry hangs on it. */

const MUCH = ['', 'a trace of', 'some', 'much', 'very much'] as const;
const FALLS = { curdy: 'in curds', fine: 'like dust', flocks: 'in flocks', crystals: 'in crystals' } as const;

export const solidWords = ({ looks, form, much }: SeenSolid): string => {
  const colours = looks.map(({ look, tenths }) => (looks.length === 1 ? look : `${look} in ${tenths} tenths`));
  return `${MUCH[much]} solid, ${colours.join(' and ')}, ${FALLS[form]}`;
};
