import { useEffect, useRef } from 'react';

/** Says when something runs over while it is poured: once for each time that it begins. */
export function useSpills(spiltMl: number, say: (sentence: string) => void): void {
  const known = useRef(spiltMl);
  useEffect(() => {
    if (spiltMl > known.current + 0.05) say(`It ran over: ${spiltMl.toFixed(1)} mL are spilt by now. It is noted.`);
    known.current = spiltMl;
  }, [spiltMl, say]);
}
