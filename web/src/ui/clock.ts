import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { sessionQuery } from '../api/session.queries.ts';

/** The one place where "now" enters the pages; the server may have fixed it for tests and pictures. */
export function useNow(everySeconds = 30): Date {
  const fixed = useQuery({ ...sessionQuery, enabled: false }).data?.fixedNow;
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(new Date());
    }, everySeconds * 1000);
    return () => {
      clearInterval(timer);
    };
  }, [everySeconds]);
  return useMemo(() => (fixed ? new Date(fixed) : now), [fixed, now]);
}
