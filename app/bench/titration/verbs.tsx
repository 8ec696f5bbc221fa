import { useState } from 'react';
import type { Act } from '@core/practicals/titration/acts';
import type { View } from '@core/practicals/titration/view';
import { TAP_OPENINGS } from '@core/instruments/tap';
import { VerbLine } from '../bench-parts';
import { Button } from '@app/ui/form';
import type { VerbsProps } from './verb-props';
import { ChoiceStrip } from '../choice-strip';
import { ProbeVerbs } from './probe-verbs';
import { isIndicator } from './things';

function PourButton({ hands }: Pick<VerbsProps, 'hands'>) {
  const [held, setHeld] = useState(false);
  const set = (on: boolean) => {
    if (on === held) return;
    setHeld(on);
    hands.act({ kind: 'pour', on });
  };
  return (
    <Button
      type="button"
      aria-pressed={held}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        set(true);
      }}
      onPointerUp={() => set(false)}
      onPointerCancel={() => set(false)}
      onKeyDown={(event) =>
        (event.key === ' ' || event.key === 'Enter') && !event.repeat && (event.preventDefault(), set(true))
      }
      onKeyUp={(event) => (event.key === ' ' || event.key === 'Enter') && set(false)}
      onBlur={() => set(false)}
    >
      Pour while pressed
    </Button>
  );
}

const OPENINGS: Record<View['tap'], string> = {
  closed: 'closed',
  'drop by drop': 'drops',
  'fast drops': 'fast',
  stream: 'stream',
};

function VerbsFor(props: VerbsProps) {
  const { hands, view, tap } = props;
  const { selected } = hands;
  const verb = (label: string, act: Act) => (
    <Button type="button" onClick={() => hands.act(act)} className="whitespace-nowrap">
      {label}
    </Button>
  );
  if (isIndicator(selected)) return hands.amounts.field('drops');
  switch (selected) {
    case 'burette':
      return (
        <>
          <ChoiceStrip
            label="Tap"
            lead="tap"
            chosen={tap}
            choices={TAP_OPENINGS.map((opening) => ({
              value: opening,
              text: OPENINGS[opening],
              label: `Tap ${opening}`,
            }))}
            onChoose={(opening) => hands.act({ kind: 'tap', opening })}
          />
          {verb('One drop', { kind: 'drop' })}
          {verb('Part of a drop', { kind: 'partDrop' })}
          {hands.amounts.field('letIn')}
          {verb('Wipe tip', { kind: 'wipeTip' })}
          {props.labels.mishaps && verb('Run the tip full', { kind: 'runOut' })}
          {view.funnel && verb('Take the funnel out', { kind: 'funnelOut' })}
          {verb('Empty', { kind: 'emptyBurette' })}
          {verb('Rinse: titrant', { kind: 'rinseBurette', with: 'titrant' })}
          {verb('Rinse: water', { kind: 'rinseBurette', with: 'water' })}
          <Button type="button" look="quiet" onClick={props.onLoupe}>
            Loupe
          </Button>
        </>
      );
    case 'titrant':
      return (
        <>
          {hands.amounts.field('fillTo')}
          <PourButton hands={hands} />
        </>
      );
    case 'flask':
      return (
        <>
          {verb('Swirl', { kind: 'swirl' })}
          {verb(view.keepSwirling ? 'Stop swirling' : 'Keep swirling', {
            kind: 'keepSwirling',
            on: !view.keepSwirling,
          })}
          {props.labels.warm && verb('Warm it', { kind: 'warm' })}
          {verb('Empty and rinse, next trial', { kind: 'emptyFlask' })}
          {view.solid && <span className="text-ink-soft">Solid lies at the bottom.</span>}
          {view.wall && <span className="text-ink-soft">Drops hang on the wall.</span>}
        </>
      );
    case 'probe':
      return <ProbeVerbs {...props} />;
    case 'wash':
      return hands.amounts.field('water');
    case 'volumetric':
      return (
        <>
          {verb('Let the pipette run into it', { kind: 'drainToVolumetric' })}
          {verb('Make it up to its mark', { kind: 'makeUp' })}
          {verb('Fill the pipette from it', { kind: 'drawDiluted' })}
          {verb('Empty it', { kind: 'emptyVolumetric' })}
          <span className="text-ink-soft">
            {view.volumetric?.madeUp
              ? 'It is made up and mixed.'
              : view.volumetric?.full
                ? 'It is not made up yet.'
                : 'It is empty.'}
          </span>
        </>
      );
    case 'jar':
      return (
        <>
          {hands.amounts.field('weigh')}
          {view.jarNote && <span className="text-ink-soft">Its label: {view.jarNote}.</span>}
        </>
      );
    case 'balance':
      return (
        <>
          {verb('Record: boat with solid', { kind: 'recordMass', which: 'boat' })}
          {verb('Tip it into the flask', { kind: 'tip' })}
          {verb('Record: boat after tipping', { kind: 'recordMass', which: 'left' })}
          {verb('Wipe the boat clean', { kind: 'wipeBoat' })}
          <span className="text-ink-soft">The balance shows {view.balance} g.</span>
        </>
      );
    case 'sample':
    case 'pipette':
      if (props.labels.supplied)
        return (
          <>
            {verb('Take a filled flask', { kind: 'takeFlask' })}
            <span className="text-ink-soft">Each holds {props.labels.pipetteMl.toFixed(2)} mL of the sample.</span>
          </>
        );
      return (
        <>
          {verb(`Fill the pipette to its mark`, { kind: 'drawSample' })}
          {verb('Let it run into the flask', { kind: 'drainPipette' })}
          <span className="text-ink-soft">{view.pipetteFull ? 'The pipette is full.' : 'The pipette is empty.'}</span>
        </>
      );
    default:
      return <span className="text-ink-soft">What you empty, spill or wipe away goes here.</span>;
  }
}

/** One line above the tray: the verbs of what is selected. */
export function Verbs(props: VerbsProps) {
  return (
    <VerbLine name={props.hands.nameOf(props.hands.selected)}>
      <VerbsFor {...props} />
    </VerbLine>
  );
}
