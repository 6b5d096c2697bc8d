/**
 * A gun and its nozzle sets; changing one part of a set asks about the others, for they belong
 * together.
 */
import { useParams } from 'react-router';
import { useSetup } from '../api/reads.ts';
import { NotYet } from '../frame/NotYet.tsx';
import { GunForm } from './GunForm.tsx';

export function GunEditPage() {
  const { id = 'new' } = useParams();
  const setupRead = useSetup();
  const setup = setupRead.data;
  if (!setup) return <NotYet reads={[setupRead]} what="the gun" />;
  const stored = setup.guns.find((gun) => gun.id === id);
  if (!stored && id !== 'new') return <p className="page">There is no such gun.</p>;
  return <GunForm key={id} stored={stored} />;
}
