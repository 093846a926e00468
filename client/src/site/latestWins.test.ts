import { expect, test } from 'vitest';
import { latestWins } from './latestWins';

const later = () => new Promise<void>((done) => setTimeout(done, 0));

test('of jobs that come in meanwhile only the latest is run', async () => {
  const run: number[] = [];
  const shown: number[] = [];
  let finish: () => void = () => undefined;
  const jobs = latestWins<number, number>(
    (job) => {
      run.push(job);
      return new Promise((done) => (finish = () => done(job)));
    },
    (result) => shown.push(result),
    () => undefined,
  );
  jobs.push(1);
  jobs.push(2);
  jobs.push(3);
  finish();
  await later();
  finish();
  await later();
  expect(run).toEqual([1, 3]);
  expect(shown).toEqual([1, 3]);
});

test('what was cleared is not shown any more', async () => {
  const shown: number[] = [];
  let finish: () => void = () => undefined;
  const jobs = latestWins<number, number>(
    (job) => new Promise((done) => (finish = () => done(job))),
    (result) => shown.push(result),
    () => undefined,
  );
  jobs.push(1);
  jobs.push(2);
  jobs.clear();
  finish();
  await later();
  jobs.push(3);
  finish();
  await later();
  expect(shown).toEqual([3]);
});

test('a job that throws does not stop the next', async () => {
  const shown: number[] = [];
  const failed: unknown[] = [];
  const jobs = latestWins<number, number>(
    (job) => (job === 1 ? Promise.reject(new Error('broken')) : Promise.resolve(job)),
    (result) => shown.push(result),
    (error) => failed.push(error),
  );
  jobs.push(1);
  await later();
  jobs.push(2);
  await later();
  expect(shown).toEqual([2]);
  expect(failed).toHaveLength(1);
});

test('what came in while a job failed is run after it', async () => {
  const shown: number[] = [];
  let fail: () => void = () => undefined;
  const jobs = latestWins<number, number>(
    (job) => (job === 1 ? new Promise((_, reject) => (fail = () => reject(new Error('broken')))) : Promise.resolve(job)),
    (result) => shown.push(result),
    () => undefined,
  );
  jobs.push(1);
  jobs.push(2);
  fail();
  await later();
  expect(shown).toEqual([2]);
});
