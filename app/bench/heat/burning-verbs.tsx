import { slotName, type LengthSlot } from '@core/practicals/heat/plan';
import { Button } from '@app/ui/form';
import { isLamp, isStuff, numberIn, stuffIn } from './things';
import type { VerbProps } from './verb-props';

/** What is done with pellets, the vessel that they burn in, and lamps. */

function LengthVerb({ which, view, labels, hands }: VerbProps & { which: LengthSlot }) {
  const trial = view.slots.find((one) => one.slot === which)?.due ?? view.trial;
  return (
    <Button type="button" look="main" onClick={() => hands.act({ kind: 'recordLength', trial, which })}>
      Record the {slotName(labels, which)}, trial {trial}
    </Button>
  );
}

/** The wire as a rule says, and writing that down. */
function Rule(props: VerbProps) {
  const { sealed } = props.view;
  if (!sealed || sealed.wireText === null) return null;
  return (
    <>
      <span>
        the rule says <span className="font-mono">{sealed.wireText}</span> cm
      </span>
      <LengthVerb {...props} which={sealed.wire === 'burnt' ? 'L2' : 'L1'} />
    </>
  );
}

function PelletVerbs({ view, hands }: VerbProps) {
  const pellet = view.sealed?.pellet;
  if (!pellet) return <span className="text-ink-soft">No pellet lies here: press one, from one of the jars.</span>;
  return (
    <>
      <Button
        type="button"
        onClick={() => hands.act({ kind: 'place', to: pellet.at === 'vessel' ? 'dish' : 'vessel' })}
      >
        {pellet.at === 'vessel' ? 'Take it out again' : 'Lay it into the vessel'}
      </Button>
      {pellet.at !== 'vessel' && (
        <Button
          type="button"
          onClick={() =>
            hands.act(pellet.at === 'pan' ? { kind: 'offPan' } : { kind: 'weigh', what: 'pellet', piece: 1 })
          }
        >
          {pellet.at === 'pan' ? 'Take it off the balance' : 'Weigh it'}
        </Button>
      )}
      <Button type="button" look="quiet" onClick={() => hands.act({ kind: 'discard' })}>
        Throw it away
      </Button>
    </>
  );
}

function SealedVerbs(props: VerbProps) {
  const { view, hands } = props;
  const { sealed } = view;
  if (!sealed) return null;
  if (sealed.at === 'pail')
    return (
      <>
        <Button type="button" look="main" onClick={() => hands.act({ kind: 'fire' })}>
          Fire
        </Button>
        <Button type="button" onClick={() => hands.act({ kind: 'sink', to: 'stand' })}>
          Lift it out of the pail
        </Button>
      </>
    );
  return (
    <>
      {sealed.isOpen ? (
        <>
          {props.hands.amounts.field('wire')}
          {sealed.wire === 'straight' && (
            <Button type="button" onClick={() => hands.act({ kind: 'bend' })}>
              Bend the wire to the pellet
            </Button>
          )}
          <Rule {...props} />
          <Button type="button" onClick={() => hands.act({ kind: 'clean' })}>
            Clean it
          </Button>
        </>
      ) : (
        <>
          {props.hands.amounts.field('oxygen')}
          <Button type="button" onClick={() => hands.act({ kind: 'vent' })}>
            Let the gas out
          </Button>
        </>
      )}
      <Button type="button" onClick={() => hands.act({ kind: 'seal', closed: sealed.isOpen })}>
        {sealed.isOpen ? 'Close it' : 'Open it'}
      </Button>
      <Button type="button" onClick={() => hands.act({ kind: 'sink', to: 'pail' })}>
        Lower it into the pail
      </Button>
    </>
  );
}

function LampVerbs({ view, hands }: VerbProps) {
  const n = numberIn(hands.selected);
  const lamp = view.fire?.lamps[n - 1];
  if (!lamp) return null;
  const { at, state } = lamp;
  return (
    <>
      <Button
        type="button"
        look="main"
        onClick={() => hands.act({ kind: 'flame', n, to: state === 'lit' ? 'capped' : 'lit' })}
      >
        {state === 'lit' ? 'Put the cap on' : 'Light it'}
      </Button>
      {state === 'capped' ? (
        <Button type="button" look="quiet" onClick={() => hands.act({ kind: 'flame', n, to: 'open' })}>
          Take the cap off
        </Button>
      ) : (
        <Button
          type="button"
          look="quiet"
          onClick={() => hands.act({ kind: 'flame', n, to: state === 'lit' ? 'open' : 'capped' })}
        >
          {state === 'lit' ? 'Blow it out' : 'Put the cap on'}
        </Button>
      )}
      {at !== 'can' && (
        <Button type="button" onClick={() => hands.act({ kind: 'stand', n, at: 'can' })}>
          Stand it under the can
        </Button>
      )}
      {at === 'can' && (
        <Button type="button" onClick={() => hands.act({ kind: 'stand', n, at: 'mat' })}>
          Put it on its mat
        </Button>
      )}
      <Button
        type="button"
        onClick={() => hands.act(at === 'pan' ? { kind: 'offPan' } : { kind: 'weigh', what: 'lamp', piece: n })}
      >
        {at === 'pan' ? 'Take it off the balance' : 'Weigh it'}
      </Button>
      <Button type="button" look="quiet" onClick={() => hands.act({ kind: 'refill', n })}>
        Fill it up
      </Button>
    </>
  );
}

function HangerVerbs(props: VerbProps) {
  const { fire } = props.view;
  if (!fire) return null;
  return (
    <>
      <span>
        <span className="font-mono">{fire.gapMm}</span> mm over the wick
      </span>
      {props.hands.amounts.field('gap')}
      <Button type="button" onClick={() => props.hands.act({ kind: 'screen', on: !fire.screen })}>
        {fire.screen ? 'Take the screen away' : 'Put a screen around the flame'}
      </Button>
    </>
  );
}

/** The verbs of what is burnt, and of what it is burnt with; undefined of all else. */
export function burningVerbs(props: VerbProps): React.ReactNode {
  const { view, hands } = props;
  const { selected } = hands;
  if (isStuff(selected)) return hands.amounts.field(stuffIn(selected), { verb: 'Press a pellet of it, about' });
  if (isLamp(selected)) return <LampVerbs {...props} />;
  switch (selected) {
    case 'press':
      return (
        <>
          {props.hands.amounts.field('standard')}
          {props.hands.amounts.field('unknown')}
        </>
      );
    case 'pellet':
      return <PelletVerbs {...props} />;
    case 'sealed':
      return <SealedVerbs {...props} />;
    case 'wire':
      return (
        <>
          {props.hands.amounts.field('wire', { verb: 'Cut, and put between the posts' })}
          <Rule {...props} />
        </>
      );
    case 'oxygen':
      return (
        <>
          {props.hands.amounts.field('oxygen', { verb: 'Fill the vessel up to' })}
          <Button type="button" onClick={() => hands.act({ kind: 'vent' })}>
            Let the gas out
          </Button>
        </>
      );
    case 'switch':
      return (
        <Button type="button" look="main" onClick={() => hands.act({ kind: 'fire' })}>
          Fire
        </Button>
      );
    case 'hanger':
      return <HangerVerbs {...props} />;
    case 'mat':
      return <span className="text-ink-soft">{view.fire ? 'Lamps stand here when they are not in use.' : ''}</span>;
    default:
      return undefined;
  }
}
