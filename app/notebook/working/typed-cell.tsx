import { useState } from 'react';

interface TypedCellProps {
  label: string;
  text: string;
  problem: string | undefined;
  struck: boolean;
  /** "row,column", so that the keyboard finds it. */
  place: string;
  onCommit: (text: string) => void;
  onUp: () => void;
  onDown: (enter: boolean) => void;
  onPaste: (text: string) => void;
}

/** A cell to type in. What is typed is kept when the cell is left; Escape brings back what stood there. */
export function TypedCell({ label, text, problem, struck, place, onCommit, onUp, onDown, onPaste }: TypedCellProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    if (typed !== null && typed !== text) onCommit(typed.trim());
    setTyped(null);
  };
  return (
    <input
      aria-label={label}
      aria-invalid={problem ? true : undefined}
      title={problem}
      data-cell={place}
      value={typed ?? text}
      maxLength={120}
      autoComplete="off"
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onPaste={(event) => {
        const pasted = event.clipboardData.getData('text/plain');
        if (!/[\t\n]/.test(pasted.replace(/\r?\n$/, ''))) return;
        event.preventDefault();
        onPaste(pasted);
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') setTyped(null);
        else if (event.key === 'Enter' || event.key === 'ArrowDown' || event.key === 'ArrowUp') {
          event.preventDefault();
          commit();
          if (event.key === 'ArrowUp') onUp();
          else onDown(event.key === 'Enter');
        }
      }}
      className={`text-heather hover:border-line-strong aria-invalid:border-rust h-6 w-20 rounded-[2px] border border-transparent bg-transparent px-1 text-right font-mono ${struck ? 'line-through' : ''}`}
    />
  );
}
