import type { Act } from '@core/practicals/measuring/acts';
import { EDGES } from '@core/practicals/measuring/edges';
import type { SeenLot } from '@core/practicals/measuring/view';
import { Button, INPUT } from '@app/ui/form';
import { SELECTS_ON_ENTERING } from '@app/ui/selects-on-entering';
import { vesselsOnBench } from './things';
import type { PartProps } from './verb-props';

/** What can be done with the pieces of a lot. */
export function LotVerbs({ lot, number, props, verb, target }: PartProps & { lot: SeenLot; number: number }) {
  const { view, into, labels, hands } = props;
  const many = lot.pieces > 1;
  const hasVessels = vesselsOnBench(view).some((vessel) => vessel.type !== 'supply');
  /** With several pieces each verb takes the count that is typed. */
  const counted = (text: string, act: (count: number) => Act) =>
    many ? (
      <Button
        key={text}
        type="button"
        onClick={() => hands.amounts.use('pieces', { act })}
        className="whitespace-nowrap"
      >
        {text}
      </Button>
    ) : (
      verb(text, act(1))
    );
  return (
    <>
      {many && (
        <label className="flex items-center gap-1">
          Pieces
          <input
            value={hands.amounts.text('pieces')}
            onChange={(event) => hands.amounts.setText('pieces', event.target.value)}
            {...SELECTS_ON_ENTERING}
            className={`${INPUT} h-8 w-14 text-right font-mono`}
            inputMode="numeric"
            maxLength={6}
          />
        </label>
      )}
      {labels.balance && counted('Weigh', (count) => ({ kind: 'weighPieces', lot: number, count }))}
      {hasVessels && (
        <>
          {target('Into', null, (vessel) => vessel.type !== 'supply')}
          {counted('Lower in', (count) => ({ kind: 'put', lot: number, count, into, how: 'lower' }))}
          {counted('Drop in', (count) => ({ kind: 'put', lot: number, count, into, how: 'drop' }))}
          {labels.sinker &&
            view.sinkerAt !== null &&
            counted('Tie under the sinker', (count) => ({
              kind: 'put',
              lot: number,
              count,
              into: view.sinkerAt ?? into,
              how: 'tied',
            }))}
        </>
      )}
      {lot.wet && verb('Dry', { kind: 'dryPieces', lot: number })}
      {labels.tools.map((tool) =>
        EDGES[lot.shape].map((along) => (
          <Button
            key={`${tool} ${along}`}
            type="button"
            onClick={() => hands.act({ kind: 'measure', lot: number, tool, along })}
            className="whitespace-nowrap"
          >
            {along}: {tool}
          </Button>
        )),
      )}
    </>
  );
}
