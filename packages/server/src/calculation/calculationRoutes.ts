import {
  answerOrRefuse,
  calculationNames,
  isCalculationName,
  schemasOf,
} from '@orthochrom/contract/registry.ts';
import { Router } from 'express';
import type { Calculator } from './calculator.ts';

/** The API's door to the registry. */
export function calculationRoutes(calculator: Calculator): Router {
  const routes = Router();
  routes.get('/calculations', (_req, res) => {
    res.json(calculationNames);
  });
  routes.get('/calculations/:name/schema', (req, res) => {
    const { name } = req.params;
    if (isCalculationName(name)) res.json(schemasOf(name));
    else res.status(404).json(answerOrRefuse(name, undefined));
  });
  routes.post('/calculations/:name', async (req, res) => {
    const outcome = await calculator.outcomeOf(req.params.name, req.body);
    if ('answer' in outcome) res.json(outcome.answer);
    else res.status(outcome.error.code === 'unknown-calculation' ? 404 : 422).json(outcome);
  });
  return routes;
}
