import { Link } from 'react-router';
import { OUTLIER_RULE } from '@core/analysis/pooled';
import { studentPool } from '@server/pools';
import { DotPlot, PoolNumbers } from '@app/pooled/dot-plot';
import { Page } from '@app/ui/page';
import { found, idIn, tokensOf } from '../session';
import type { Route } from './+types/run-pooled';

export async function loader({ request, params }: Route.LoaderArgs) {
  const runId = idIn(params.runId);
  return { runId, ...(await found(studentPool(runId, await tokensOf(request)))) };
}

export const meta: Route.MetaFunction = () => [{ title: 'Pooled results · Fen' }];

export default function RunPooled({ loaderData: { runId, title, sampleNumber, groups } }: Route.ComponentProps) {
  return (
    <Page
      title="Pooled results"
      trail={
        <Link to={`/runs/${runId}`}>
          {title}, sample {sampleNumber}
        </Link>
      }
    >
      {groups.map((group) => (
        <section key={group.title} className="mb-8">
          <h2 className="text-lg first-letter:uppercase">{group.title}</h2>
          <DotPlot {...group} dots={group.points} />
          <PoolNumbers {...group} left={group.points.filter((point) => point.leftOut).length} />
          {group.points.some((point) => point.name !== null && !point.own) && (
            <p className="text-ink-soft mt-1 text-sm">
              In order of value:{' '}
              {[...group.points]
                .sort((a, b) => a.value - b.value)
                .map((point) => point.name)
                .join(', ')}
            </p>
          )}
        </section>
      ))}
      {groups.length === 0 && <p>None of your numbers can be laid beside those of others.</p>}
      <p className="text-ink-soft max-w-[70ch] text-sm">{OUTLIER_RULE}</p>
    </Page>
  );
}
