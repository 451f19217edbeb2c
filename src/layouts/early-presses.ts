const kept = new WeakSet<HTMLButtonElement>();

/**
 * A press on a button that is drawn but not awake yet is kept and given back once the part of the page that it
 * stands on is awake: on a slow phone nothing that was pressed is lost, and no form is sent as a bare page would.
 */
document.addEventListener(
  'click',
  (press) => {
    const button = press.target instanceof Element ? press.target.closest('button') : null;
    const asleep = button?.closest('astro-island[ssr]');
    if (!button || !asleep) return;
    press.preventDefault();
    press.stopPropagation();
    // Who presses a button again because nothing happens means it once.
    if (kept.has(button)) return;
    kept.add(button);
    asleep.addEventListener('astro:hydrate', () => button.click(), { once: true });
  },
  { capture: true },
);
