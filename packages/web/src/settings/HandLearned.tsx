/** What this hand takes against its plan, by kind of paint, with the jobs it was learned from. */
import { Button } from '@mantine/core';
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { jobsOf, USAGE_GROUPS, type Usage } from '@orthochrom/contract/shop/usage.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { painterFactorOf } from '@orthochrom/core/amount/painterFactor.ts';
import { putJson } from '../api/client.ts';
import { useSetup } from '../api/reads.ts';
import { ADDRESS, refresh } from '../api/resources.ts';
import { useWrite } from '../api/useWrite.ts';
import { dayText } from '../words/timeText.ts';

const GROUP_NAME = { primer: 'Primer, sealer', colour: 'Colour', clear: 'Clear' } as const;

export function HandLearned({ painter }: { painter: Painter }) {
  const { data: setup } = useSetup();
  const [busy, write] = useWrite();
  const format = formatFor(painter.units);
  const volume = (ml: number) => format.joined(format.volume(ml));
  const groups = USAGE_GROUPS.map((group) => ({
    group,
    jobs: jobsOf(setup?.usages ?? [], painter.id, group),
  })).filter(({ jobs }) => jobs.length > 0);
  const count = ({ id }: Usage, counts: boolean) =>
    write(async () => {
      await putJson<TicketWhole>(ADDRESS.usage(id), { painterId: painter.id, counts });
      await refresh('setup');
    });
  if (groups.length === 0)
    return (
      <p className="quiet">
        How much {painter.name} takes is not learned yet: Clean asks what was left in the cup.
      </p>
    );
  return (
    <details>
      <summary>
        What {painter.name} takes against the plan:{' '}
        {groups
          .map(({ group, jobs }) => {
            const { factor } = painterFactorOf(jobs);
            return `${GROUP_NAME[group]} ${factor.value.toFixed(2)} (${factor.n})`;
          })
          .join(', ')}
      </summary>
      {groups.map(({ group, jobs }) => {
        const { odd } = painterFactorOf(jobs);
        return (
          <section key={group}>
            <h3>{GROUP_NAME[group]}</h3>
            <ul>
              {jobs.map((job, at) => (
                <li key={job.id} className="row">
                  <span>
                    {dayText(job.at)}: {volume(job.usedMl)} of {volume(job.plannedMl)} planned,{' '}
                    {(job.usedMl / job.plannedMl).toFixed(2)}
                    {job.counts === false ? ', set aside' : ''}
                    {odd.some((one) => one.at === at) ? ', left out: far from the others' : ''}
                  </span>
                  {isOut(job, odd, at) ? (
                    <Button variant="default" disabled={busy} onClick={() => void count(job, true)}>
                      It counts
                    </Button>
                  ) : (
                    <Button
                      variant="default"
                      disabled={busy}
                      onClick={() => void count(job, false)}
                    >
                      Set it aside
                    </Button>
                  )}
                </li>
              ))}
            </ul>
          </section>
        );
      })}
    </details>
  );
}

const isOut = ({ counts }: Usage, odd: readonly { at: number }[], at: number): boolean =>
  counts === false || odd.some((one) => one.at === at);
