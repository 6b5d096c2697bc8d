/** What the mix card is given, whether the mix is to be made or at hand. */
import type { Wishes } from '@orthochrom/contract/plan/contextOf.ts';
import type { StoredCup } from '@orthochrom/contract/shop/setup.ts';
import type { Mix } from '@orthochrom/contract/shop/ticket.ts';
import type { CardProps } from '../cardProps.ts';

export type MixCardProps = CardProps & {
  mix: Mix | undefined;
  cups: StoredCup[];
  wishes: Wishes;
  setWishes: (wishes: Wishes) => void;
  blocked: boolean;
  onGun: () => void;
};
