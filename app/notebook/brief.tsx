import type { Brief } from '@core/practicals/method';
import type { Step } from '@core/practicals/contract';
import { termsIn } from '@core/words/terms-in';
import { Glossed } from '@app/ui/glossed';
import { waitsIn } from './waits-in';

interface BriefTextProps {
  brief: Brief;
  steps?: readonly Step[];
  /** Whether words of the trade can be pressed, each the first time that it is met: not on paper. */
  explains?: boolean;
  /** Lets so many seconds pass at the bench, where the method says to wait. */
  onWait?: (seconds: number) => void;
}

/** What a student reads: what is asked, the method by numbers with what is done of it, how it is worked out, what is good to know. */
export function BriefText({ brief, steps = [], explains = true, onWait }: BriefTextProps) {
  const { question, method, working, know } = brief;
  const isDone = (key: string) => steps.some((step) => step.key === key && step.done);
  const met = new Set<string>();
  // In the order of the page, so that the first of each word is the one that tells.
  const told = (text: string) => (explains ? <Glossed of={termsIn(text, met)} /> : text);
  const paragraphs = (texts: readonly string[]) =>
    texts.map((text) => (
      <p key={text} className="mb-3">
        {told(text)}
      </p>
    ));
  return (
    <div className="font-serif">
      {paragraphs(question)}
      {method.length > 0 && (
        <>
          <Head>The method</Head>
          <ol className="mb-4 list-none">
            {method.map(({ key, does, how }, i) => (
              <li key={key} className="mb-3 grid grid-cols-[1.6rem_1fr]" data-step={key}>
                <span className="font-mono">
                  {isDone(key) ? (
                    <span role="img" aria-label="done">
                      ✓
                    </span>
                  ) : (
                    `${i + 1}.`
                  )}
                </span>
                <div>
                  <p className={isDone(key) ? 'text-ink-soft' : 'font-bold'}>{told(does)}</p>
                  {how.map((sentence) => (
                    <p key={sentence}>{told(sentence)}</p>
                  ))}
                  {onWait &&
                    waitsIn([does, ...how]).map((seconds) => (
                      <button
                        key={seconds}
                        type="button"
                        className="text-water min-h-6 font-sans text-sm underline"
                        // The second click of a double one lets no more time pass.
                        onClick={(event) => event.detail < 2 && onWait(seconds)}
                      >
                        Let {seconds < 120 ? `${seconds} seconds` : `${seconds / 60} minutes`} pass
                      </button>
                    ))}
                </div>
              </li>
            ))}
          </ol>
        </>
      )}
      {working.length > 0 && <Head>How to work it out</Head>}
      {paragraphs(working)}
      {know.length > 0 && <Head>Good to know</Head>}
      {know.length > 0 && (
        <ul className="mb-4 list-disc pl-[1.6rem]">
          {know.map((sentence) => (
            <li key={sentence} className="mb-1">
              {told(sentence)}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

const Head = ({ children }: { children: string }) => <h3 className="mb-2 font-bold">{children}</h3>;
