import { useController, type FieldValues, type Path } from 'react-hook-form';
import { Field, type FieldProps } from '../controls';
import type { Typed } from './useTyped';

/** A field of a form: what is wrong with it stands under it, and it is gone to when it is the first that won't do. */
export function TypedField<T extends FieldValues, R>({
  of,
  name,
  ...rest
}: { of: Typed<T, R>; name: Path<T> } & Omit<FieldProps, 'value' | 'onChange' | 'error'>) {
  // As in `useTyped`.
  'use no memo';
  const { field, fieldState } = useController({ control: of.control, name });
  return (
    <Field
      {...rest}
      value={String(field.value ?? '')}
      onChange={(text) => {
        field.onChange(text);
        of.recheck();
      }}
      onBlur={field.onBlur}
      inputRef={field.ref}
      error={fieldState.error?.message ?? null}
    />
  );
}
