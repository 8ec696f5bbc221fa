import { VerbLine } from '../bench-parts';
import { StationVerbs, SheetVerbs } from './station-verbs';
import { isOwn, numberOf, sheetOf } from './things';
import { AnalysisVerbs, ColorimeterVerbs, ToolVerbs } from './tool-verbs';
import { Verb, type VerbProps } from './verb-props';
import { BottleVerbs, OwnVerbs } from './vessel-verbs';

/** The verbs of what is selected, above the tray. */

function verbsOf(props: VerbProps): React.ReactNode {
  const { view, hands } = props;
  const { selected } = hands;
  const number = numberOf(selected);
  const seen = number === null ? undefined : view.vessels[number - 1];
  if (number !== null && seen)
    return isOwn(seen) ? (
      <OwnVerbs number={number} seen={seen} props={props} />
    ) : (
      <BottleVerbs number={number} seen={seen} props={props} />
    );
  const sheet = sheetOf(selected);
  if (sheet !== null) return <SheetVerbs number={sheet} props={props} />;
  switch (selected) {
    case 'balance':
    case 'funnel':
    case 'hotPlate':
    case 'oven':
    case 'desiccator':
    case 'jar':
    case 'boat':
      return <StationVerbs station={selected} props={props} />;
    case 'cellulose':
    case 'glass':
      return (
        <Verb act={{ kind: 'takePaper', of: selected }} props={props}>
          Take one
        </Verb>
      );
    case 'thermometer':
    case 'probe':
    case 'cell':
      return <ToolVerbs tool={selected} props={props} />;
    case 'colorimeter':
      return <ColorimeterVerbs props={props} />;
    case 'analysis':
      return <AnalysisVerbs props={props} />;
    case 'tube':
    case 'beaker':
      return (
        <Verb act={{ kind: 'take', type: selected }} props={props}>
          Put one on the bench
        </Verb>
      );
    case 'plate':
      return (
        <Verb act={{ kind: 'rinsePlate' }} props={props}>
          Rinse all wells
        </Verb>
      );
    default:
      return <span>Drag it into a vessel, or choose a vessel and dip it in there.</span>;
  }
}

export function Verbs(props: VerbProps & { closed: boolean }) {
  return (
    <VerbLine name={props.hands.nameOf(props.hands.selected)} tall>
      {props.closed ? null : verbsOf(props)}
    </VerbLine>
  );
}
