/** When the shop works: what the board of the day and the look of the next day go by. */
import { Button, TextInput } from '@mantine/core';
import type { ShopHours } from '@orthochrom/contract/shop/setup.ts';
import { clockOf, minuteOf } from './hoursText.ts';

type HoursFieldsProps = { hours: ShopHours; onChange: (hours: ShopHours) => void };

export function HoursFields({ hours, onChange }: HoursFieldsProps) {
  const { opensMinute, closesMinute, breaks } = hours;
  const time = (label: string, minute: number, keep: (minute: number) => void) => (
    <TextInput
      key={label}
      label={label}
      type="time"
      value={clockOf(minute)}
      onChange={({ currentTarget: { value } }) => {
        const told = minuteOf(value);
        if (told !== undefined) keep(told);
      }}
    />
  );
  const [noon] = breaks;
  return (
    <div className="grid2" role="group" aria-label="Hours" style={{ alignItems: 'end' }}>
      {time('Opens', opensMinute, (minute) => onChange({ ...hours, opensMinute: minute }))}
      {time('Closes', closesMinute, (minute) =>
        onChange({ ...hours, closesMinute: minute || 1440 }),
      )}
      {noon ? (
        <>
          {time('Break from', noon[0], (from) =>
            onChange({ ...hours, breaks: [[from, noon[1]], ...breaks.slice(1)] }),
          )}
          {time('Break to', noon[1], (to) =>
            onChange({ ...hours, breaks: [[noon[0], to], ...breaks.slice(1)] }),
          )}
          <div>
            <Button
              variant="subtle"
              onClick={() => onChange({ ...hours, breaks: breaks.slice(1) })}
            >
              No break
            </Button>
          </div>
        </>
      ) : (
        <div>
          <Button
            variant="default"
            onClick={() => {
              const middle = Math.round((opensMinute + closesMinute) / 2);
              onChange({ ...hours, breaks: [[middle, Math.min(closesMinute, middle + 30)]] });
            }}
          >
            Add a break
          </Button>
        </div>
      )}
    </div>
  );
}
