/** What may not be done before when, on every car whose last coat is on. */
import type { DayMark } from '@orthochrom/contract/plan/dayMarks.ts';
import { Link } from 'react-router';
import { AFTER_NAME } from '../words/afterWords.ts';
import { dateTimeText } from '../words/timeText.ts';

export function NotBefore({ marks }: { marks: readonly DayMark[] }) {
  if (marks.length === 0) return null;
  const jobs = [...new Map(marks.map(({ ticketId, job }) => [ticketId, job])).entries()];
  return (
    <section className="card" aria-label="Not before">
      <h3>Not before</h3>
      <table className="plain">
        <tbody>
          {jobs.map(([ticketId, job]) => (
            <tr key={ticketId}>
              <td>
                <Link to={`/tickets/${ticketId}`}>{job}</Link>
              </td>
              <td>
                {marks
                  .filter((mark) => mark.ticketId === ticketId)
                  .map(({ what, atMs }) => `${AFTER_NAME[what]} ${dateTimeText(atMs)}`)
                  .join(' · ')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
