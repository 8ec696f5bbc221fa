import { AlertDialog } from 'radix-ui';
import { useSubmit } from 'react-router';
import { Button } from '@app/ui/form';

interface GraveProps {
  label: string;
  title: string;
  text: string;
  fields: Record<string, string>;
  /** Of what can be undone, or is no loss: a quieter button. */
  look?: 'grave' | 'quiet';
  /** What a screen reader hears of the button, where its label alone does not say of whom. */
  name?: string;
}

/**
 * What cannot be undone is asked once. The answer is sent by the page and not by a form inside the window, which is gone
 * before a form in it would be sent.
 */
export function Grave({ label, title, text, fields, name, look = 'grave' }: GraveProps) {
  const submit = useSubmit();
  return (
    <AlertDialog.Root>
      <AlertDialog.Trigger asChild>
        <Button type="button" look={look} aria-label={name}>
          {label}
        </Button>
      </AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="bg-ink/40 fixed inset-0" />
        <AlertDialog.Content className="border-ink bg-paper fixed top-1/3 left-1/2 w-[min(420px,94vw)] -translate-x-1/2 border p-5">
          <AlertDialog.Title className="font-serif text-lg">{title}</AlertDialog.Title>
          <AlertDialog.Description className="my-3">{text}</AlertDialog.Description>
          <div className="flex gap-3">
            <AlertDialog.Action asChild>
              <Button
                type="button"
                look={look === 'quiet' ? 'main' : look}
                onClick={() => void submit(fields, { method: 'post' })}
              >
                {label}
              </Button>
            </AlertDialog.Action>
            <AlertDialog.Cancel asChild>
              <Button type="button" look="quiet">
                {look === 'quiet' ? 'Leave it as it is' : 'Keep'}
              </Button>
            </AlertDialog.Cancel>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
