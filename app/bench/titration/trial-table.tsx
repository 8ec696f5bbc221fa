import type { View } from '@core/practicals/titration/view';
import { CountBox, READINGS_TABLE } from '@app/notebook/count-box';
import type { AnyAct } from '../use-bench';

/** First and last reading of each trial, the titres that follow, and which of them count. */
export function TrialTable({ view, closed, onAct }: { view: View; closed: boolean; onAct: (act: AnyAct) => void }) {
  const weighs = view.balance !== null;
  return (
    <table className={READINGS_TABLE}>
      <thead>
        <tr>
          <th scope="col">Trial</th>
          {weighs && <th scope="col">Mass / g</th>}
          <th scope="col">First / mL</th>
          <th scope="col">Last / mL</th>
          <th scope="col">Titre / mL</th>
          <th scope="col">{weighs ? 'Counts' : 'In the mean'}</th>
        </tr>
      </thead>
      <tbody>
        {view.trials.map((trial) => (
          <tr key={trial.number} className={trial.leftOut ? 'text-ink-soft' : ''}>
            <th scope="row" className="border-line border-t">
              {trial.number}
            </th>
            {weighs && <td className="font-mono">{trial.mass ?? '–'}</td>}
            <td className="font-mono">{trial.first ?? '–'}</td>
            <td className="font-mono">{trial.last ?? '–'}</td>
            <td className="font-mono font-semibold">
              {trial.titre ??
                (trial.problem ? (
                  <span className="text-rust font-sans text-xs font-normal">{trial.problem}</span>
                ) : (
                  '–'
                ))}
            </td>
            <td>
              {closed && (trial.counts ? 'counts' : trial.leftOut)}
              {!closed && trial.titre !== null && (
                <CountBox trial={trial.number} leftOut={trial.leftOut} onAct={onAct} />
              )}
            </td>
          </tr>
        ))}
      </tbody>
      {view.mean && (
        <tfoot>
          <tr>
            <td colSpan={weighs ? 4 : 3} className="!border-ink !border-t-2">
              Mean of {view.mean.count} {view.mean.count === 1 ? 'titre' : 'titres'}
            </td>
            <td className="!border-ink !border-t-2 font-mono font-semibold" data-testid="mean">
              {view.mean.text}
            </td>
            <td className="!border-ink text-ink-soft !border-t-2">
              {view.mean.count > 1 && `spread ${view.mean.spread} mL`}
            </td>
          </tr>
        </tfoot>
      )}
    </table>
  );
}
