/** A few things by name: one more is typed, each is taken off with a touch. */
import { Button, TextInput } from '@mantine/core';
import { XIcon } from 'lucide-react';
import { useState } from 'react';

type NamedListProps = {
  label: string;
  description: string;
  names: readonly string[];
  onChange: (names: string[]) => void;
};

export function NamedList({ label, description, names, onChange }: NamedListProps) {
  const [typed, setTyped] = useState('');
  const name = typed.trim();
  const isNew = name !== '' && !names.includes(name);
  const add = () => {
    if (!isNew) return;
    onChange([...names, name]);
    setTyped('');
  };
  return (
    <div className="stack" role="group" aria-label={label}>
      <div className="row" style={{ alignItems: 'end' }}>
        <TextInput
          label={label}
          description={description}
          value={typed}
          maxLength={80}
          onChange={(event) => setTyped(event.currentTarget.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') add();
          }}
        />
        <Button variant="default" disabled={!isNew} onClick={add}>
          Add it
        </Button>
      </div>
      {names.length > 0 && (
        <div className="row">
          {names.map((one) => (
            <Button
              key={one}
              variant="default"
              rightSection={<XIcon size={20} aria-hidden />}
              aria-label={`Take off: ${one}`}
              onClick={() => onChange(names.filter((other) => other !== one))}
            >
              {one}
            </Button>
          ))}
        </div>
      )}
    </div>
  );
}
