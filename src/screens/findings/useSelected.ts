import { useEffect, useState } from 'react';
import { awaitsInspector, type Finding } from '#core/judge/finding';

/** The finding in hand: the one an address names, else the first that is open. */
export function useSelected(findings: readonly Finding[]) {
  const [id, setId] = useState<string | null>(null);
  const [isLed, setLed] = useState(false);
  useEffect(() => {
    if (isLed) return;
    setLed(true);
    const query = new URLSearchParams(window.location.search);
    const wanted = query.get('entry');
    const number = Number(query.get('finding'));
    const led = findings.find(
      (one) => one.number === number || (wanted !== null && one.entryIds.includes(wanted)),
    );
    if (led) setId(led.id);
  }, [isLed, findings]);
  const selected =
    findings.find((one) => one.id === id) ?? findings.find(awaitsInspector) ?? findings[0] ?? null;
  const at = selected ? findings.indexOf(selected) : -1;
  return {
    selected,
    select: setId,
    move: (by: 1 | -1) => {
      const to = findings[Math.min(findings.length - 1, Math.max(0, at + by))];
      if (to) setId(to.id);
    },
    /** Goes on to the next finding that is open, round to the first again. */
    next: () => {
      const after = [...findings.slice(at + 1), ...findings.slice(0, at)].find(awaitsInspector);
      if (after) setId(after.id);
    },
  };
}
