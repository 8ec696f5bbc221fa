import { useState } from 'react';
import { SLIP_MMOL, SLIP_PART } from '@core/practicals/solutions/analysis';
import type { Dipped } from '@core/practicals/solutions/bench';
import { ownReading } from '@core/notebook/readings';
import { Button, INPUT } from '@app/ui/form';
import { recordAbsorbance, recordTool } from './moves';
import { slipActs } from './record-acts';
import { labelledName } from './things';
import { Verb, type VerbProps } from './verb-props';

/** What can be done with what measures: thermometer, pH meter, analysis. */

const UNITS: Record<Dipped, string> = { thermometer: ' °C', probe: '', cell: ' mS/cm' };

export function ToolVerbs({ tool, props }: { tool: Dipped; props: VerbProps }) {
  const { view, hands } = props;
  const into = view.into[tool];
  if (into === null) return <span>Drag it into a vessel, or choose a vessel and put it in there.</span>;
  const act = recordTool(tool, view);
  const words = {
    T0: 'Record as the temperature before',
    T: 'Record',
    pH: 'Record the pH',
    K: 'Record the conductivity',
  } as const;
  const which = act.kind === 'recordTool' ? act.which : 'T';
  const trial = act.kind === 'recordTool' ? act.trial : 1;
  return (
    <>
      <span>
        in {labelledName(view, into)}: <span className="font-mono">{view.shows[tool]}</span>
        {UNITS[tool]}
      </span>
      <Button type="button" look="main" onClick={() => hands.act(act)}>
        {words[which]}, trial {trial}
      </Button>
      {which === 'T' && (
        <Verb act={{ kind: 'recordTool', trial, which: 'T0' }} props={props}>
          Record as the temperature before
        </Verb>
      )}
      <Verb act={{ kind: 'takeOut', tool }} props={props}>
        Take it out
      </Verb>
    </>
  );
}

export function ColorimeterVerbs({ props }: { props: VerbProps }) {
  const { view, hands } = props;
  const vessel = view.colorimeter?.vessel ?? null;
  const act = recordAbsorbance(view);
  const isMixture = (view.colorimeter?.trial ?? null) !== null;
  return (
    <>
      <span>
        {vessel === null ? 'Drag a vessel to it to fill its cuvette.' : `cuvette from ${labelledName(view, vessel)}`}
      </span>
      {hands.amounts.field('nm')}
      <Verb act={{ kind: 'blank' }} props={props}>
        Set the zero
      </Verb>
      {isMixture && act.kind === 'recordAbsorbance' && (
        <Button type="button" look="main" onClick={() => hands.act(act)}>
          Record the absorbance, trial {act.trial}
        </Button>
      )}
      {vessel !== null && (
        <Verb act={{ kind: 'emptyCuvette' }} props={props}>
          Empty the cuvette
        </Verb>
      )}
    </>
  );
}

export function AnalysisVerbs({ props }: { props: VerbProps }) {
  const { view, hands } = props;
  const [chosen, setChosen] = useState<number | null>(null);
  if (view.slips.length === 0)
    return <span>Nothing has been handed over. Choose a tube or a beaker, and hand over a portion of it.</span>;
  const isKept = (i: number) => view.slips[i] && ownReading(view, view.slips[i].trial, 'p') !== undefined;
  const fresh = view.slips.findIndex(({ left }, i) => left !== null && !isKept(i));
  const at = chosen ?? (fresh >= 0 ? fresh : view.slips.length - 1);
  const slip = view.slips[at];
  return (
    <>
      <select
        aria-label="Which slip"
        className={`${INPUT} h-8 !py-0`}
        value={at}
        onChange={(event) => setChosen(Number(event.target.value))}
      >
        {view.slips.map(({ vessel, trial, ml }, i) => (
          <option key={i} value={i}>
            {`${ml} mL of ${vessel}, trial ${trial}`}
          </option>
        ))}
      </select>
      {slip?.left ? (
        <>
          <span className="font-mono" data-testid="slip">
            {slip.left.map((text, i) => `${String.fromCharCode(65 + i)} ${text}`).join('   ')} mmol
          </span>
          <span className="text-ink-soft">
            each ± {(100 * SLIP_PART).toFixed(1)} % and {SLIP_MMOL.toFixed(4)} mmol
          </span>
          <Button
            type="button"
            look="main"
            onClick={() => {
              slipActs(view, at).forEach((act) => hands.act(act));
              setChosen(null);
            }}
          >
            Record this slip, trial {slip.trial}
          </Button>
        </>
      ) : (
        <span>This portion is still with the analysis.</span>
      )}
    </>
  );
}
