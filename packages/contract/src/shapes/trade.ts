/** The trade's own words as they are admitted: every list is core's. */
import { REPAIR_VERDICTS } from '@orthochrom/core/diagnosis/knowledge.ts';
import { GUN_CLASSES } from '@orthochrom/core/trade/gunClasses.ts';
import { MATERIAL_CLASSES } from '@orthochrom/core/trade/materialClasses.ts';
import * as words from '@orthochrom/core/trade/vocabulary.ts';
import { CUP_NAMES } from '@orthochrom/core/material/flowCup.ts';
import { z } from 'zod';

export const Carrier = z.enum(words.CARRIERS);
export const StageName = z.enum(words.STAGES);
export const Finish = z.enum(words.FINISHES);
export const Place = z.enum(words.PLACES);
export const AirMovement = z.enum(words.AIR_MOVEMENTS);
export const Airflow = z.enum(words.AIRFLOWS);
export const FinishTarget = z.enum(words.FINISH_TARGETS);
export const Timing = z.enum(words.TIMINGS);
export const Extraction = z.enum(words.EXTRACTIONS);
export const JobSize = z.enum(words.JOB_SIZES);
export const PartKind = z.enum(words.PARTS);
export const Surface = z.enum(words.SURFACES);
export const Substrate = z.enum(words.SUBSTRATES);
export const Chemistry = z.enum(words.CHEMISTRIES);
export const Role = z.enum(words.ROLES);
export const Basis = z.enum(words.BASES);
export const Speed = z.enum(words.SPEEDS);
export const Skill = z.enum(words.SKILLS);
export const Trust = z.enum(words.TRUSTS);
export const Wetness = z.enum(words.WETNESSES);
export const CupName = z.enum(CUP_NAMES);
export const MaterialClass = z.enum(MATERIAL_CLASSES);
export const GunClass = z.enum(GUN_CLASSES);

/** A layer that a fault can be looked for in: a stage, or what lies under all paint. */
export const FaultLayer = z.union([StageName, z.literal('substrate')]);
export const RepairVerdict = z.enum(REPAIR_VERDICTS);
