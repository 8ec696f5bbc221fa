import { GLOSSARY } from '@core/words/glossary';
import { Page } from '@app/ui/page';

export const meta = () => [{ title: 'Words · Fen' }];

/** All words of the trade, by alphabet. */
export default function Words() {
  return (
    <Page title="Words of the trade">
      <dl className="grid grid-cols-[minmax(9rem,auto)_1fr] gap-x-6 gap-y-2">
        {GLOSSARY.map(({ term, says }) => (
          <div key={term} className="col-span-2 grid grid-cols-subgrid" id={term.replaceAll(' ', '-')}>
            <dt className="font-bold">{term}</dt>
            <dd>{says}</dd>
          </div>
        ))}
      </dl>
    </Page>
  );
}
