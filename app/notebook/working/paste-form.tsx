import { useState } from 'react';
import { Button, INPUT } from '@app/ui/form';

/** A place to paste a block into. Pasting is enough; the button is for what was typed or changed. */
export function PasteForm({ onPaste, onClose }: { onPaste: (text: string) => void; onClose: () => void }) {
  const [text, setText] = useState('');
  return (
    <form
      className="bg-mist mb-3 p-3"
      onSubmit={(event) => {
        event.preventDefault();
        onPaste(text);
      }}
    >
      <label className="text-sm" htmlFor="paste-block">
        Copy the cells in your spreadsheet, headings too, and paste them here.
      </label>
      <textarea
        id="paste-block"
        autoFocus
        rows={4}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onPaste={(event) => {
          const pasted = event.clipboardData.getData('text/plain');
          if (text !== '' || !/[\t\n]/.test(pasted.trim())) return;
          event.preventDefault();
          setText(pasted);
          onPaste(pasted);
        }}
        className={`${INPUT} my-1 w-full font-mono text-sm`}
      />
      <span className="flex gap-2">
        <Button>Make a table of it</Button>
        <Button type="button" look="quiet" onClick={onClose}>
          Close
        </Button>
      </span>
    </form>
  );
}
