import { useCallback, useEffect, useRef } from 'react';
import { useOnce } from '@/views/shared/data/use-once';

/**
 * Enter in the entry line. `log` resolves to true once the line is durable. Enter while a line is
 * being written is for what was typed after it: that is logged next, unless more is typed by then.
 */
export function useEnter(log: () => Promise<boolean>, text: string, now: () => string) {
  const writing = useRef<string | null>(null);
  const next = useRef('');
  const [save, saving] = useOnce(async () => {
    writing.current = now();
    let isLogged = false;
    try {
      isLogged = await log();
    } finally {
      writing.current = null;
      if (!isLogged) next.current = '';
    }
  });
  const enter = useCallback(async () => {
    const before = writing.current;
    if (before === null) return save();
    const typed = now();
    next.current = typed.startsWith(before) ? typed.slice(before.length) : typed;
  }, [save, now]);
  useEffect(() => {
    if (saving || next.current === '') return;
    const isAsItWas = next.current === text;
    next.current = '';
    if (isAsItWas) void enter();
  }, [saving, text, enter]);
  return [enter, saving] as const;
}
