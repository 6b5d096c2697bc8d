import { inject } from 'vitest';

/** Of a database in the cluster of this run. */
export const urlOf = (name: string): string => inject('clusterUrl').replace('/?', `/${name}?`);
