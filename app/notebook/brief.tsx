import type { Brief } from '@core/practicals/method';
import type { Step } from '@core/practicals/contract';

/** What a student reads: what is asked, the method by numbers with what is done of it, how it is worked out, what is good to know. */
export function BriefText({ brief, steps = [] }: { brief: Brief; steps?: readonly Step[] }) {
  const { question, method, working, know } = brief;
  const isDone = (key: string) => steps.some((step) => step.key === key && step.done);
  return (
    <div className="font-serif">
      <Paragraphs of={question} />
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
                  <p className={isDone(key) ? 'text-ink-soft' : 'font-bold'}>{does}</p>
                  {how.map((sentence) => (
                    <p key={sentence}>{sentence}</p>
                  ))}
                </div>
              </li>
            ))}
          </ol>
        </>
      )}
      {working.length > 0 && <Head>How to work it out</Head>}
      <Paragraphs of={working} />
      {know.length > 0 && <Head>Good to know</Head>}
      {know.length > 0 && (
        <ul className="mb-4 list-disc pl-[1.6rem]">
          {know.map((sentence) => (
            <li key={sentence} className="mb-1">
              {sentence}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

const Head = ({ children }: { children: string }) => <h3 className="mb-2 font-bold">{children}</h3>;

const Paragraphs = ({ of }: { of: readonly string[] }) =>
  of.map((paragraph) => (
    <p key={paragraph} className="mb-3">
      {paragraph}
    </p>
  ));
