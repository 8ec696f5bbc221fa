import { useId } from 'react';
import type { Mistake } from '../session';

const BUTTONS = {
  main: 'bg-reed text-on-reed border-reed',
  plain: 'bg-paper text-reed border-reed',
  quiet: 'bg-transparent text-ink border-line-strong',
  grave: 'bg-paper text-rust border-rust',
};

type ButtonProps = React.ButtonHTMLAttributes<HTMLButtonElement> & { look?: keyof typeof BUTTONS };

export function Button({ look = 'plain', className = '', type = 'submit', ...rest }: ButtonProps) {
  const base =
    'inline-flex min-h-8 items-center gap-1 rounded-[3px] border px-3 py-1 text-sm font-medium disabled:opacity-60';
  return <button type={type} className={`${base} ${BUTTONS[look]} ${className}`} {...rest} />;
}

export const INPUT =
  'rounded-[3px] border border-line-strong bg-paper px-2 py-1 text-ink aria-invalid:border-rust aria-invalid:border-2';

/** A sentence about what went wrong; read out as it appears. */
export function Wrong({
  children,
  id,
  marked,
}: {
  children: React.ReactNode;
  id?: string;
  /** Of one field of a long form, which is brought into view. */
  marked?: boolean;
}) {
  return (
    <p id={id} role="alert" data-mistake={marked || undefined} className="text-rust mt-1 text-sm">
      {children}
    </p>
  );
}

type FieldProps = React.InputHTMLAttributes<HTMLInputElement> & {
  label: string;
  name: string;
  help?: string;
  mistake?: Mistake;
};

/** A labelled line to type in; the mistake shows where its field is. */
export function Field({ label, help, mistake, className = '', ...input }: FieldProps) {
  const id = useId();
  const wrong = mistake?.field === input.name ? mistake.sentence : undefined;
  return (
    <div className={`mb-4 ${className}`}>
      <label htmlFor={id} className="mb-1 block font-medium">
        {label}
      </label>
      <input
        id={id}
        className={`${INPUT} w-full`}
        aria-invalid={wrong ? true : undefined}
        aria-describedby={`${id}-help`}
        {...input}
      />
      <div id={`${id}-help`}>
        {help && <p className="text-ink-soft mt-1 text-sm">{help}</p>}
        {wrong && <Wrong>{wrong}</Wrong>}
      </div>
    </div>
  );
}

/** A mistake that belongs to no field. */
export function FormMistake({ mistake }: { mistake?: Mistake }) {
  return mistake?.field === 'form' ? <Wrong>{mistake.sentence}</Wrong> : null;
}
