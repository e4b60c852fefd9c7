import { useCallback, useEffect, useRef } from 'react';
import { joiResolver } from '@hookform/resolvers/joi';
import type { ObjectSchema } from 'joi';
import {
  useForm,
  useFormState,
  useWatch,
  type Control,
  type DefaultValues,
  type FieldPathValue,
  type FieldValues,
  type Path,
  type Resolver,
} from 'react-hook-form';
import { TYPED_OPTIONS } from '@/data/forms/typed';

/** A form under way. */
export interface Typed<T extends FieldValues, R = unknown> {
  readonly control: Control<T, unknown, R & FieldValues>;
  /** As it is typed and ticked. */
  readonly value: T;
  /** What is wrong, by field, once somebody wanted to keep it; it goes as it is put right. */
  readonly wrong: Readonly<Partial<Record<string, string>>>;
  /** Something chosen rather than typed: it is whole, and judged at once. */
  set(part: Partial<T>): void;
  /** Judges anew what was wrong: another field may have put it right. */
  recheck(): void;
  /** Begins anew from these. */
  begin(start: T): void;
  /** What the main key does: keeps what the schema gave, or goes to the first field that won't do. */
  keep(save: (read: R) => unknown): () => void;
}

/**
 * A form held to one schema: its bounds and its messages. `onChange` hears of every change, for a draft kept on the device; with
 * `eager` what is wrong is said while it is typed, for a form whose answer stands beside it.
 */
export function useTyped<T extends FieldValues, R>(
  schema: ObjectSchema,
  start: T,
  onChange?: (value: T) => void,
  eager = false,
): Typed<T, R> {
  // The package changes its record of errors in place: compared between renders, it would look the same.
  'use no memo';
  const { control, setValue, handleSubmit, subscribe, reset, trigger } = useForm<T, unknown, R & FieldValues>(
    {
      mode: eager ? 'onChange' : 'onSubmit',
      defaultValues: start as DefaultValues<T>,
      resolver: joiResolver(schema, TYPED_OPTIONS, { mode: 'sync' }) as Resolver<T, unknown, R & FieldValues>,
    },
  );
  const value = useWatch({ control }) as T;
  const { errors } = useFormState({ control });
  useEffect(() => {
    if (!onChange) return undefined;
    return subscribe({ formState: { values: true }, callback: ({ values }) => onChange(values) });
  }, [subscribe, onChange]);
  const bad = useRef(errors);
  useEffect(() => {
    bad.current = errors;
  });
  const recheck = useCallback(() => {
    const fields = Object.keys(bad.current) as Path<T>[];
    if (fields.length > 0) void trigger(fields);
  }, [trigger]);
  const set = useCallback(
    (part: Partial<T>) => {
      for (const [field, chosen] of Object.entries(part))
        setValue(field as Path<T>, chosen as FieldPathValue<T, Path<T>>, { shouldValidate: true });
      recheck();
    },
    [setValue, recheck],
  );
  const wrong = Object.fromEntries(
    // What the package knows of each field's error takes the compiler twenty seconds to work out.
    Object.entries(errors as Readonly<Record<string, { readonly message?: unknown } | undefined>>).map(
      ([field, error]) => [field, String(error?.message ?? '')],
    ),
  );
  return {
    control,
    value,
    wrong,
    set,
    recheck,
    begin: (fresh) => reset(fresh),
    keep: (save) => () => void handleSubmit(async (read) => void (await save(read)))(),
  };
}
