/** What is touched: buttons, choices, fields, in each of their states. */
import { ActionIcon, Button, Checkbox, Chip, Select, Slider, TextInput } from '@mantine/core';
import { XIcon } from 'lucide-react';
import { Choice, Question, YesNo } from '../safety/Choice.tsx';
import { FigureInput } from '../units/FigureInput.tsx';

const nothing = () => undefined;

export function Buttons() {
  return (
    <div className="stack">
      <div className="row">
        <Button size="xl" data-focus-here>
          The one next thing
        </Button>
        <Button size="xl" disabled>
          Stopped: say why here
        </Button>
        <Button size="xl" loading>
          On its way
        </Button>
      </div>
      <div className="row">
        <Button size="lg" variant="default">
          Another way
        </Button>
        <Button size="lg" variant="light">
          Opened
        </Button>
        <Button variant="subtle">Quiet</Button>
        <Button variant="default" disabled>
          Not now
        </Button>
        <Button color="var(--stop)" variant="outline">
          Takes away
        </Button>
        <ActionIcon size={48} variant="subtle" aria-label="Close">
          <XIcon size={26} />
        </ActionIcon>
      </div>
    </div>
  );
}

export function Fields() {
  return (
    <div className="grid2">
      <Question label="Nobody answered yet">
        <YesNo label="Nobody answered yet" value={undefined} onChange={nothing} />
      </Question>
      <Question label="Answered" isWide>
        <Choice
          label="Answered"
          value="none"
          options={[
            ['none', 'I looked: none'],
            ['some', 'Something could'],
          ]}
          onChange={nothing}
        />
      </Question>
      <TextInput label="A field" placeholder="what it may look like" />
      <TextInput label="A field that is filled" defaultValue="Linnet hatchback" />
      <TextInput
        label="A field that is wrong"
        defaultValue="900"
        error="Paint temperature goes from −10 to 60 °C; 900 was typed. Nothing was kept."
      />
      <TextInput label="A field nobody may change" defaultValue="Clear, medium solids" disabled />
      <FigureInput
        label="A figure"
        kind="temperature"
        field="measuredAtC"
        value={18.5}
        onChange={nothing}
      />
      <Select label="One of a list" data={['Booth 1', 'Prep bay']} defaultValue="Booth 1" />
      <div className="row">
        <Chip checked onChange={nothing}>
          Picked
        </Chip>
        <Chip checked={false} onChange={nothing}>
          Not picked
        </Chip>
        <Checkbox size="lg" label="Done" checked onChange={nothing} />
        <Checkbox size="lg" label="Not done" checked={false} onChange={nothing} />
      </div>
      <Slider
        value={40}
        size="lg"
        thumbSize={48}
        label={null}
        thumbLabel="A slider"
        style={{ margin: '1rem 24px' }}
      />
    </div>
  );
}
