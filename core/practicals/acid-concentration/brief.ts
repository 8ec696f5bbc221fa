import { labelsOf, type Setup } from './setup';

/** What the student reads first. It says nothing of which acids may be drawn. */
export function briefOf(setup: Setup): string[] {
  const labels = labelsOf(setup);
  return [
    'Sallow Point Light is becoming a museum, and its stores are full of bottles whose labels are gone. Yours came from the cleaning cupboard: an acid that gives up one proton, diluted with water. Nobody else has this bottle.',
    `Find its concentration. On the bench stand a 50 mL burette, a ${labels.pipetteMl} mL pipette and ${labels.titrantName} (${labels.titrantFormula}) of exactly ${labels.titrantMolPerL} ${labels.unit}, which takes up one proton for each ${labels.titrantFormula}.`,
    'Read the burette at the bottom of the meniscus, to a tenth of a division, before and after each trial. Do one trial quickly to learn about where the end point is, then at least two with care. Titres agree when they lie within 0.10 mL.',
  ];
}
