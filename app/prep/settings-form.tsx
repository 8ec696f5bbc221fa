import { INPUT, Wrong } from '@app/ui/form';
import type { SettingField, SettingMistakes } from './settings';

const optionLabel = ({ names }: SettingField, option: string) => names?.[option] ?? option.replaceAll('-', ' ');

function Control({ field, wrong }: { field: SettingField; wrong: boolean }) {
  const id = `set-${field.name}`;
  const invalid = { 'aria-invalid': wrong || undefined, 'aria-describedby': `${id}-note` };
  switch (field.kind) {
    case 'number':
    case 'numbers': {
      const text = field.kind === 'number' ? String(field.value) : field.value.join('; ');
      const width = field.kind === 'number' ? 'w-24' : 'w-40';
      return (
        <span className="flex items-center gap-2">
          <input id={id} name={field.name} defaultValue={text} className={`${INPUT} ${width} font-mono`} {...invalid} />
          {field.unit}
        </span>
      );
    }
    case 'switch':
      return (
        <input id={id} name={field.name} type="checkbox" defaultChecked={field.value} className="size-5" {...invalid} />
      );
    case 'choice':
      return (
        <span className="flex items-center gap-2">
          <select id={id} name={field.name} defaultValue={field.value} className={INPUT} {...invalid}>
            {field.options.map((option) => (
              <option key={option} value={option}>
                {optionLabel(field, option)}
              </option>
            ))}
          </select>
          {field.unit}
        </span>
      );
    case 'choices':
      return (
        <span className="flex flex-wrap gap-x-4 gap-y-1">
          {field.options.map((option) => (
            <label key={option} className="flex items-center gap-1">
              <input type="checkbox" name={field.name} value={option} defaultChecked={field.value.includes(option)} />
              {optionLabel(field, option)}
            </label>
          ))}
        </span>
      );
  }
}

/** The rows of a settings form: label, control, what it means, and what is wrong with it. */
export function SettingRows({ fields, mistakes }: { fields: SettingField[]; mistakes: SettingMistakes }) {
  return fields.map((field) => {
    const id = `set-${field.name}`;
    const wrong = mistakes[field.name];
    const group = field.kind === 'choices' ? { role: 'group', 'aria-labelledby': `${id}-label` } : {};
    return (
      <div
        key={field.name}
        data-row
        {...group}
        className="border-line grid items-start gap-x-6 gap-y-1 border-t py-2 sm:grid-cols-[200px_1fr]"
      >
        {field.kind === 'choices' ? (
          <span id={`${id}-label`} className="font-medium">
            {field.label}
          </span>
        ) : (
          <label htmlFor={id} className="font-medium">
            {field.label}
          </label>
        )}
        <div>
          <Control field={field} wrong={wrong !== undefined} />
          <div id={`${id}-note`}>
            {field.help && <p className="text-ink-soft text-sm">{field.help}</p>}
            {wrong && <Wrong marked>{wrong}</Wrong>}
          </div>
        </div>
      </div>
    );
  });
}
