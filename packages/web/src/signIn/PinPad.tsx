/** Digits for a gloved finger; a keyboard types into the same field. */
import { PasswordInput } from '@mantine/core';
import { LONGEST_PIN } from '@orthochrom/contract/shop/signIn.ts';
import { DeleteIcon } from 'lucide-react';
import styles from './SignIn.module.css';

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0'];

type PinPadProps = {
  label: string;
  value: string;
  error?: string | undefined;
  onChange: (pin: string) => void;
  autoFocus?: boolean;
};

export function PinPad({ label, value, error, onChange, autoFocus = false }: PinPadProps) {
  const put = (next: string) => onChange(next.replaceAll(/\D/g, '').slice(0, LONGEST_PIN));
  return (
    <div className="stack">
      <PasswordInput
        label={label}
        value={value}
        error={error}
        inputMode="numeric"
        autoComplete="off"
        rightSectionWidth={52}
        styles={{ visibilityToggle: { width: 48, height: 48 } }}
        size="lg"
        data-autofocus={autoFocus || undefined}
        autoFocus={autoFocus}
        onChange={(event) => put(event.currentTarget.value)}
      />
      <div className={styles['pad']} aria-label="Digits" role="group">
        {DIGITS.map((digit) => (
          <button key={digit} type="button" onClick={() => put(value + digit)}>
            {digit}
          </button>
        ))}
        <button
          type="button"
          aria-label="Take the last digit back"
          onClick={() => put(value.slice(0, -1))}
        >
          <DeleteIcon size={30} strokeWidth={1.6} aria-hidden="true" />
        </button>
      </div>
    </div>
  );
}
