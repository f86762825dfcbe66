/** Customers: made and found. */
import { newCustomer } from '@junctor/core/schemas';
import { Router } from 'express';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';
import { startsWith } from '../http/startsWith';
import { idFrom, validated } from '../http/validated';

export function customerRoutes({ database }: Deps): Router {
  const router = Router();
  router.get('/customers', async (request, response) => {
    response.json(await database.rows('customers/listCustomers', { prefix: startsWith(request.query.q) }));
  });
  router.get('/customers/:id', async (request, response) => {
    const customer = await database.row<object>('customers/findCustomer', { id: idFrom(request.params.id) });
    if (!customer) throw new ApiError(404, 'customer.missing', 'No such customer in this shop');
    response.json(customer);
  });
  router.post('/customers', async (request, response) => {
    const customer = validated<{ id: string; name: string; contact: string }>(newCustomer, request.body);
    await database.write('customers/insertCustomer', customer);
    response.status(201).json(customer);
  });
  return router;
}
