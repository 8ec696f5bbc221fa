import { Button } from '@app/ui/form';
import { VerbLine } from '../bench-parts';
import { TypedAmount } from '../typed-amount';
import { burningVerbs } from './burning-verbs';
import { BalanceVerbs, ThermometerVerbs, VolumeVerb } from './recording-verbs';
import { BoatVerbs, PieceVerbs } from './thing-verbs';
import { isBottle, isFresh, isPiece, isThermo, numberIn, thingName, typeIn } from './things';
import { pourOf, type VerbProps } from './verb-props';
import { ChargeVerb, ReadyVerb, TubeVerbs } from './tube-verbs';
import { VesselVerbs } from './vessel-verbs';

function verbsOf(props: VerbProps): React.ReactNode {
  const { selected, view, labels, amounts, onAmount, onAct, onAmountAct } = props;
  if (selected === 'cup' || selected === 'beaker') return <VesselVerbs {...props} which={selected} />;
  if (selected === 'tube') return <TubeVerbs {...props} />;
  if (selected === 'substance' || selected === 'second') return <ChargeVerb {...props} jar={selected} />;
  if (isPiece(selected)) return <PieceVerbs {...props} />;
  if (isThermo(selected)) return <ThermometerVerbs {...props} />;
  if (selected === 'balance') return <BalanceVerbs {...props} />;
  if (selected === 'boat' || selected === 'jar') return <BoatVerbs {...props} />;
  if (selected === 'bath' || selected === 'block' || selected === 'cold')
    return (
      <TypedAmount
        verb="Set it to"
        unit="°C"
        text={amounts[selected]}
        onText={(text) => onAmount(selected, text)}
        onDo={() => onAmountAct(selected, '°C', (tempC) => ({ kind: 'warm', what: selected, tempC }))}
      />
    );
  if (selected === 'log')
    return (
      <>
        <TypedAmount
          verb={view.log === null ? 'Log every' : 'Log on, every'}
          unit="s"
          text={amounts.log}
          onText={(text) => onAmount('log', text)}
          onDo={() => onAmountAct('log', 's', (everyS) => ({ kind: 'log', everyS }))}
        />
        {view.log !== null && (
          <Button type="button" onClick={() => onAct({ kind: 'log', everyS: 0 })}>
            End the log
          </Button>
        )}
        <ReadyVerb {...props} />
      </>
    );
  if (isBottle(selected)) {
    const bottle = numberIn(selected);
    const pour = pourOf(bottle);
    return (
      <>
        {(['cup', 'beaker'] as const)
          .filter((to) => to === 'cup' || labels.beaker)
          .map((to) => (
            <TypedAmount
              key={to}
              verb={`Pour into the ${to}`}
              unit="mL"
              text={amounts[pour]}
              onText={(text) => onAmount(pour, text)}
              onDo={() => onAmountAct(pour, 'mL', (ml) => ({ kind: 'pour', bottle, to, ml }))}
            />
          ))}
        {view.given ? (
          <span>
            given so far <span className="font-mono">{view.given[bottle - 1]}</span> mL
          </span>
        ) : (
          <VolumeVerb {...props} bottle={bottle} />
        )}
        {labels.points && (
          <Button type="button" look="main" onClick={() => onAct({ kind: 'recordPoint', trial: view.recordableTrial })}>
            Record the point, trial {view.recordableTrial}
          </Button>
        )}
      </>
    );
  }
  if (isFresh(selected))
    return (
      <Button type="button" onClick={() => onAct({ kind: 'fresh', type: typeIn(selected) })}>
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
    <VerbLine name={thingName(props.selected, props.view, props.labels)} tall>
      {props.closed ? null : verbsOf(props)}
    </VerbLine>
  );
}
