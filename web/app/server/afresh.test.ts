import { expect, it } from 'vitest';
import { afresh, unread } from './afresh.ts';

const makerOf = (...answers: (string | Error)[]) => {
  const left = [...answers];
  return async () => {
    const next = left.shift();
    if (next === undefined) throw new Error('asked once too often');
    if (typeof next !== 'string') throw next;
    return next;
  };
};
/** As an error comes from a worker: its message, not its class. */
const crossed = () => structuredClone(unread(['2.198 m']));
const refused = () => new Error('refused in words');

it('hands over what reads back, and makes nothing twice', async () => {
  let renewed = 0;
  await expect(afresh(makerOf('sheet'), () => renewed++, refused)).resolves.toBe('sheet');
  expect(renewed).toBe(0);
});
it('makes what does not read back once more with fresh workers', async () => {
  let renewed = 0;
  await expect(afresh(makerOf(crossed(), 'sheet'), () => renewed++, refused)).resolves.toBe('sheet');
  expect(renewed).toBe(1);
});
it('refuses what does not read back twice, and passes other faults on as they are', async () => {
  let renewed = 0;
  const renew = () => renewed++;
  await expect(afresh(makerOf(crossed(), crossed()), renew, refused)).rejects.toThrow('refused in words');
  await expect(afresh(makerOf(new Error('no room')), renew, refused)).rejects.toThrow('no room');
  await expect(afresh(makerOf(crossed(), new Error('no room')), renew, refused)).rejects.toThrow('no room');
  expect(renewed).toBe(2);
});
