import { zodResolver } from '@hookform/resolvers/zod';
import { type DefaultValues, type FieldValues, type Path, type PathValue, useForm } from 'react-hook-form';
import { useRef } from 'react';
import type { z } from 'zod';

/**
 * A short form as it is typed: its words, what is wrong with each, and sending what they were read into. Once it is kept it keeps
 * nothing of that entry.
 */
export function useTyped<T extends FieldValues, R>(schema: z.ZodType<R, T>, fresh: T) {
  const { watch, setValue, handleSubmit, reset, formState } = useForm<T, unknown, R>({
    resolver: zodResolver(schema),
    defaultValues: fresh as DefaultValues<T>,
  });
  const { errors, isSubmitted } = formState;
  const sending = useRef(false);
  return {
    typed: watch(),
    put: (changed: Partial<T>) => {
      for (const [key, value] of Object.entries(changed))
        setValue(key as Path<T>, value as PathValue<T, Path<T>>, { shouldValidate: isSubmitted });
    },
    problem: (key: keyof T): string | undefined => {
      const message = errors[key]?.message;
      return typeof message === 'string' ? message : undefined;
    },
    /** Pressed twice it is sent once. @param take keeps what was read; false where it was not kept, and the words stay */
    send: async (take: (read: R) => Promise<boolean>): Promise<void> => {
      if (sending.current) return;
      sending.current = true;
      try {
        await handleSubmit(async (read) => {
          if (await take(read)) reset(fresh);
        })();
      } finally {
        sending.current = false;
      }
    },
  };
}
