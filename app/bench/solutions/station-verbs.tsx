import { SLOTS } from '@core/practicals/solutions/plan';
import type { SeenVessel } from '@core/practicals/solutions/view';
import type { PaperPlace } from '@core/practicals/solutions/solids/paper';
import { Button } from '@app/ui/form';
import { ChoiceStrip } from '../choice-strip';
import { recordMass } from './moves';
import { PLACE_WORDS, SHEET_WORDS } from './places';
import { stateOf } from './tell';
import { sheetName, type Station } from './things';
import { Verb, type VerbProps } from './verb-props';

/** What can be done with papers and with what a solid is filtered, dried and weighed with. */

/** A place without the words before it: a strip of five has room for no more on a small screen. */
const short = (place: string) => place.replace(/^\w+ the /u, '');

const PAPER_PLACES: readonly PaperPlace[] = ['mat', 'funnel', 'oven', 'desiccator', 'pan'];

export function SheetVerbs({ number, props }: { number: number; props: VerbProps }) {
  const { view, labels, hands } = props;
  const paper = view.papers[number - 1];
  if (!paper) return null;
  const name = sheetName(view, number);
  return (
    <>
      <ChoiceStrip
        label="Where the paper is"
        lead="at"
        chosen={paper.at === 'away' ? null : paper.at}
        choices={PAPER_PLACES.filter((place) => place !== 'desiccator' || labels.desiccator).map((value) => ({
          value,
          text: short(SHEET_WORDS[value]),
          label: `${name} ${SHEET_WORDS[value]}`,
        }))}
        onChoose={(at) => hands.act({ kind: 'placePaper', paper: number, at })}
      />
      {paper.at === 'pan' && <RecordMass props={props} />}
      <Verb act={{ kind: 'throwPaper', paper: number }} props={props}>
        Throw it away
      </Verb>
    </>
  );
}

/** The mass on the balance, with what it would be in the notebook. */
function RecordMass({ props }: { props: VerbProps }) {
  const { view, hands } = props;
  const act = recordMass(view);
  const due = view.pan?.due;
  if (!act || !due)
    return <span>{view.pan ? `${view.pan.name}: its mass is not asked for here` : 'Nothing is on the balance.'}</span>;
  const { which, trial } = due;
  return (
    <Button type="button" look="main" onClick={() => hands.act(act)}>
      {`Record: ${SLOTS[which].label}, trial ${trial}`}
    </Button>
  );
}

export function StationVerbs({ station, props }: { station: Station; props: VerbProps }) {
  const { view } = props;
  switch (station) {
    case 'balance':
      return (
        <>
          <RecordMass props={props} />
          <Verb act={{ kind: 'tare' }} props={props}>
            Set it to zero
          </Verb>
        </>
      );
    case 'funnel':
      return (
        <>
          {props.hands.amounts.field('wash')}
          <span className="text-ink-soft">{stateOf('funnel', view)}</span>
        </>
      );
    case 'oven':
      return props.hands.amounts.field('oven');
    case 'jar':
      return props.hands.amounts.field('scoop');
    case 'boat':
      return (
        <>
          <span className="text-ink-soft">{view.boat?.holds}</span>
          {props.hands.amounts.field('scoop', { verb: 'Put in' })}
          <Verb act={{ kind: 'placeBoat', at: view.boat?.at === 'pan' ? 'bench' : 'pan' }} props={props}>
            {view.boat?.at === 'pan' ? 'Off the balance' : 'On the balance'}
          </Verb>
          {view.boat?.at === 'pan' && <RecordMass props={props} />}
          <span className="text-ink-soft">Drag it to a beaker, or choose a beaker, to tip it in.</span>
        </>
      );
    case 'hotPlate':
    case 'desiccator':
      return <span className="text-ink-soft">{stateOf(station, view)}</span>;
  }
}

const VESSEL_PLACES = ['bench', 'plate', 'funnel', 'pan'] as const;

/** Where a beaker stands, and what is poured out of it through a paper. */
export function PlaceVerbs({ number, seen, props }: { number: number; seen: SeenVessel; props: VerbProps }) {
  const { view, labels, hands } = props;
  if (!labels.balance || seen.type !== 'beaker') return null;
  const here = {
    bench: true,
    plate: labels.hotPlate,
    funnel: labels.papers.length > 0,
    pan: true,
  };
  return (
    <>
      <ChoiceStrip
        label="Where it stands"
        lead="at"
        chosen={seen.at}
        choices={VESSEL_PLACES.filter((place) => here[place]).map((value) => ({
          value,
          text: short(PLACE_WORDS[value]),
          label: `Beaker ${PLACE_WORDS[value]}`,
        }))}
        onChoose={(at) => hands.act({ kind: 'placeVessel', vessel: number, at })}
      />
      {seen.at === 'pan' && <RecordMass props={props} />}
      {view.boat && (
        <Verb act={{ kind: 'tip', to: number }} props={props}>
          Tip the boat in
        </Verb>
      )}
      {labels.papers.length > 0 && seen.at !== 'funnel' && (
        <>
          {seen.ml > 0 && (
            <Verb act={{ kind: 'filter', from: number }} props={props}>
              Filter it
            </Verb>
          )}
          {hands.amounts.field('rinse')}
        </>
      )}
    </>
  );
}
