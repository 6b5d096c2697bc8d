/** The inputs that a sheet's fields are made of. */
import { Button, NumberInput } from '@mantine/core';
import type { Json } from '@orthochrom/contract/sheet/byPath.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import type { Field } from './sheetFields.ts';
import styles from './SheetForm.module.css';

export function Ends({
  label,
  fault,
  children,
}: {
  label: string;
  fault: string | undefined;
  children: React.ReactNode;
}) {
  return (
    <fieldset className={styles['ends']}>
      <legend>{label}</legend>
      <div className={styles['pair']}>{children}</div>
      {fault && (
        <p className={styles['fault']} role="alert">
          {fault}
        </p>
      )}
    </fieldset>
  );
}

type FigureProps = {
  label: string;
  field: Extract<Field, { unit: unknown }>;
  value: Json;
  fault?: string | undefined;
  onFigure: (figure: number | undefined) => void;
};
export function Figure({ label, field, value, fault, onFigure }: FigureProps) {
  return (
    <div>
      <FigureInput
        label={label}
        kind={field.unit}
        field={field.field}
        placeholder="not printed"
        {...(typeof value === 'number' ? { value } : {})}
        onChange={(entered) => onFigure(entered?.canonical)}
      />
      {fault && (
        <p className={styles['fault']} role="alert">
          {fault}
        </p>
      )}
    </div>
  );
}

type PlainProps = {
  label: string;
  suffix: string;
  value: Json;
  error?: string;
  onFigure: (figure: number | undefined) => void;
};
export const Plain = ({ label, suffix, value, error, onFigure }: PlainProps) => (
  <NumberInput
    label={label}
    {...(error ? { error } : {})}
    placeholder="not printed"
    suffix={suffix ? ` ${suffix}` : ''}
    value={typeof value === 'number' ? value : ''}
    onChange={(figure) => onFigure(typeof figure === 'number' ? figure : undefined)}
  />
);

type TogglesProps = {
  label: string;
  fault: string | undefined;
  options: { value: string; label: string }[];
  picked: string[];
  onPick: (picked: string[]) => void;
};
/** Several of some: each is touched on and off. */
export function Toggles({ label, fault, options, picked, onPick }: TogglesProps) {
  return (
    <fieldset className={`${styles['ends']} ${styles['wide']}`}>
      <legend>{label}</legend>
      <div className={styles['toggles']}>
        {options.map(({ value, label: word }) => {
          const isOn = picked.includes(value);
          return (
            <Button
              key={value}
              variant={isOn ? 'filled' : 'default'}
              aria-pressed={isOn}
              onClick={() =>
                onPick(isOn ? picked.filter((one) => one !== value) : [...picked, value])
              }
            >
              {word}
            </Button>
          );
        })}
      </div>
      {fault && (
        <p className={styles['fault']} role="alert">
          {fault}
        </p>
      )}
    </fieldset>
  );
}
