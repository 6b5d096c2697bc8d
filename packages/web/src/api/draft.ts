/**
 * What is being typed over a stored thing: it stays while somebody else changes that thing, and
 * clashes when it is saved.
 */
import { useState } from 'react';

export function useDraft<T extends { version: number }>(stored: T) {
  const [base, setBase] = useState(stored);
  const [draft, setDraft] = useState(stored);
  const isChanged = JSON.stringify(draft) !== JSON.stringify(base);
  const settle = (saved: T) => {
    setBase(saved);
    setDraft(saved);
  };
  // Nothing typed yet: the newer version is simply shown.
  if (stored.version > base.version && !isChanged) settle(stored);
  return { draft, setDraft, isChanged, settle, round: base.version };
}
