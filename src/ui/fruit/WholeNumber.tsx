import { useState } from 'react';
import { Field } from '../controls';

/** A whole number from 0 to `most`, typed; `null` while the field is empty or wrong. */
export function WholeNumber({
  label,
  value,
  least = 0,
  most,
  onChange,
}: {
  label: string;
  value: number | null;
  least?: number;
  most: number;
  onChange: (value: number | null) => void;
}) {
  const [typed, setTyped] = useState(value === null ? '' : String(value));
  const shown = value !== null && Number(typed) !== value ? String(value) : typed;
  const ok = (text: string) => /^\d{1,6}$/.test(text.trim()) && Number(text) >= least && Number(text) <= most;
  return (
    <Field
      label={label}
      value={shown}
      keyboard="number-pad"
      error={shown.trim() === '' || ok(shown) ? null : `A whole number from ${least} to ${most}`}
      onChange={(text) => {
        setTyped(text);
        onChange(ok(text) ? Number(text) : null);
      }}
    />
  );
}
