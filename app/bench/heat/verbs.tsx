import { Button } from '@app/ui/form';
import { VerbLine } from '../bench-parts';
import { burningVerbs } from './burning-verbs';
import { BalanceVerbs, ThermometerVerbs, VolumeVerb } from './recording-verbs';
import { BoatVerbs, PieceVerbs } from './thing-verbs';
import { isBottle, isFresh, isPiece, isThermo, numberIn, typeIn } from './things';
import { pourOf } from './amounts';
import type { VerbProps } from './verb-props';
import { ChargeVerb, ReadyVerb, TubeVerbs } from './tube-verbs';
import { VesselVerbs } from './vessel-verbs';

function verbsOf(props: VerbProps): React.ReactNode {
  const { view, labels, hands } = props;
  const { selected, amounts } = hands;
  if (selected === 'cup' || selected === 'beaker') return <VesselVerbs {...props} which={selected} />;
  if (selected === 'tube') return <TubeVerbs {...props} />;
  if (selected === 'substance' || selected === 'second') return <ChargeVerb {...props} jar={selected} />;
  if (isPiece(selected)) return <PieceVerbs {...props} />;
  if (isThermo(selected)) return <ThermometerVerbs {...props} />;
  if (selected === 'balance') return <BalanceVerbs {...props} />;
  if (selected === 'boat' || selected === 'jar') return <BoatVerbs {...props} />;
  if (selected === 'bath' || selected === 'block' || selected === 'cold') return amounts.field(selected);
  if (selected === 'log')
    return (
      <>
        {amounts.field('log', view.log === null ? {} : { verb: 'Log on, every' })}
        {view.log !== null && (
          <Button type="button" onClick={() => hands.act({ kind: 'log', everyS: 0 })}>
            End the log
          </Button>
        )}
        <ReadyVerb {...props} />
      </>
    );
  if (isBottle(selected)) {
    const bottle = numberIn(selected);
    return (
      <>
        {(['cup', 'beaker'] as const)
          .filter((to) => to === 'cup' || labels.beaker)
          .map((to) =>
            amounts.field(pourOf(bottle), {
              verb: `Pour into the ${to}`,
              act: (ml) => ({ kind: 'pour', bottle, to, ml }),
            }),
          )}
        {view.given ? (
          <span>
            given so far <span className="font-mono">{view.given[bottle - 1]}</span> mL
          </span>
        ) : (
          <VolumeVerb key={bottle} {...props} bottle={bottle} />
        )}
        {labels.points && (
          <Button
            type="button"
            look="main"
            onClick={() => hands.act({ kind: 'recordPoint', trial: view.recordableTrial })}
          >
            Record the point, trial {view.recordableTrial}
          </Button>
        )}
      </>
    );
  }
  if (isFresh(selected))
    return (
      <Button type="button" onClick={() => hands.act({ kind: 'fresh', type: typeIn(selected) })}>
        Take it in place of the cup
      </Button>
    );
  const burning = burningVerbs(props);
  if (burning !== undefined) return burning;
  return (
    <span className="text-ink-soft">{selected === 'dish' ? 'Pieces are laid here.' : 'Thermometers hang here.'}</span>
  );
}

/** One line above the tray: the verbs of what is selected. */
export function Verbs(props: VerbProps & { closed: boolean }) {
  return (
    <VerbLine name={props.hands.nameOf(props.hands.selected)} tall>
      {props.closed ? null : verbsOf(props)}
    </VerbLine>
  );
}
