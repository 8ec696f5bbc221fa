import { Button } from '@app/ui/form';
import { numberIn } from './things';
import type { VerbProps } from './verb-props';

/** What is done with metal and with salt. */

const PIECE_TO = {
  bath: 'into the bath',
  block: 'into the block',
  cup: 'into the cup',
  dish: 'onto its dish',
} as const;

export function PieceVerbs({ view, labels, hands }: VerbProps) {
  const number = numberIn(hands.selected);
  const piece = view.pieces[number - 1];
  if (!piece) return null;
  const places = (['bath', 'block', 'cup', 'dish'] as const).filter(
    (to) => to !== piece.at && (to === 'cup' || to === 'dish' || labels[to]),
  );
  return (
    <>
      {places.map((to) => (
        <Button key={to} type="button" onClick={() => hands.act({ kind: 'put', piece: number, to })}>
          Put it {PIECE_TO[to]}
        </Button>
      ))}
      {piece.at !== 'tongs' && piece.at !== 'dish' && piece.at !== 'pan' && (
        <Button type="button" look="quiet" onClick={() => hands.act({ kind: 'put', piece: number, to: 'tongs' })}>
          Hold it in the tongs
        </Button>
      )}
      {piece.at === 'dish' && (
        <Button type="button" onClick={() => hands.act({ kind: 'weigh', what: 'piece', piece: number })}>
          Weigh it
        </Button>
      )}
      {piece.wet && piece.at !== 'cup' && piece.at !== 'bath' && (
        <Button type="button" onClick={() => hands.act({ kind: 'dry', piece: number })}>
          Dry it
        </Button>
      )}
    </>
  );
}

export function BoatVerbs({ view, labels, hands }: VerbProps) {
  return (
    <>
      {hands.amounts.field('scoop', labels.tube ? { verb: 'Take some of it, about' } : {})}
      <Button type="button" onClick={() => hands.act({ kind: 'tip' })}>
        Tip it into the {labels.tube ? 'tube' : 'cup'}
      </Button>
      {view.boat.clings && (
        <Button type="button" onClick={() => hands.act({ kind: 'tapBoat' })}>
          Knock in what clings
        </Button>
      )}
      <Button
        type="button"
        onClick={() =>
          hands.act(view.pan.on === 'boat' ? { kind: 'offPan' } : { kind: 'weigh', what: 'boat', piece: 1 })
        }
      >
        {view.pan.on === 'boat' ? 'Take it off the balance' : 'Weigh it'}
      </Button>
    </>
  );
}
