import { describe, expect, it } from 'vitest';
import { noteGoodTry, takeTry } from './tries';

describe('tries', () => {
  const from = (mail: string, address: string, knownDevice: string | null = null) => ({
    mail,
    address,
    knownDevice,
  });
  const fail = async (times: number, tried: (at: number) => Parameters<typeof takeTry>[0]) => {
    for (let at = 0; at < times; at += 1) expect(await takeTry(tried(at))).toBe(0);
  };
  it('are slowed by account and address, by address alone, and by account from anywhere', async () => {
    await fail(5, () => from('A@x ', '1.1.1.1'));
    expect(await takeTry(from('a@x', '1.1.1.1'))).toBe(15);
    // Somewhere else, and another from there, may still try.
    expect(await takeTry(from('a@x', '2.2.2.2'))).toBe(0);
    expect(await takeTry(from('b@x', '1.1.1.1'))).toBe(0);
    await fail(40, (at) => from(`guess${at}@x`, '3.3.3.3'));
    expect(await takeTry(from('new@x', '3.3.3.3'))).toBe(60);
    await fail(30, (at) => from('c@x', `4.4.4.${at}`));
    expect(await takeTry(from('c@x', '5.5.5.5'))).toBe(60);
  });
  it('from elsewhere never shut out a device on which somebody signed in before', async () => {
    await fail(30, (at) => from('k@x', `4.4.5.${at}`));
    expect(await takeTry(from('k@x', '5.5.5.6'))).toBe(60);
    await fail(10, () => from('k@x', '4.4.5.1', 'tablet'));
    expect(await takeTry(from('k@x', '4.4.5.1', 'tablet'))).toBe(15);
    expect(await takeTry(from('k@x', '4.4.5.1', 'laptop'))).toBe(0);
  });
  it('of somebody who gets in count nowhere', async () => {
    await fail(5, () => from('d@x', '6.6.6.6'));
    await noteGoodTry(from('d@x', '6.6.6.6'));
    await fail(5, () => from('d@x', '6.6.6.6'));
    // A whole office behind one address signs in every morning.
    for (let at = 0; at < 100; at += 1) {
      expect(await takeTry(from(`e${at}@x`, '7.7.7.7'))).toBe(0);
      await noteGoodTry(from(`e${at}@x`, '7.7.7.7'));
    }
  });
  it('that wait use up nothing of what others may', async () => {
    await fail(5, () => from('f@x', '8.8.8.8'));
    for (let at = 0; at < 100; at += 1) expect(await takeTry(from('f@x', '8.8.8.8'))).toBe(15);
    expect(await takeTry(from('g@x', '8.8.8.8'))).toBe(0);
  });
  it('that come at once are no more than those that come one by one', async () => {
    const waits = await Promise.all(
      Array.from({ length: 50 }, () => takeTry(from('h@x', '9.9.9.9'))),
    );
    expect(waits.filter((min) => min === 0)).toHaveLength(5);
  });
});
