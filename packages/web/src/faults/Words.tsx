import { TextInput } from '@mantine/core';
import { useState } from 'react';

/** Kept when the field is left, not with every letter. */
export function Words({
  label,
  value,
  onKeep,
}: {
  label: string;
  value: string;
  onKeep: (value: string) => void;
}) {
  const [typed, setTyped] = useState(value);
  return (
    <TextInput
      label={label}
      value={typed}
      maxLength={200}
      onChange={(event) => setTyped(event.currentTarget.value)}
      onBlur={() => typed !== value && onKeep(typed)}
    />
  );
}
