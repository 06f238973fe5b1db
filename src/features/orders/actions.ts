'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import { saveOrder, setOrderEnded } from '@/records/pieces';
import { db } from '@/records/platform';
import { endOrderSchema, saveOrderSchema } from './schema';

/** Adds an order, or changes one. */
export const saveOrderCard = action('saveOrderCard', saveOrderSchema, async (member, { order, version }) => {
  await saveOrder(db(), member.id, order, version);
  refresh();
  return null;
});

/** Ends an order, or takes it up again. */
export const endOrder = action('endOrder', endOrderSchema, async (member, { id, isEnded }) => {
  await setOrderEnded(db(), member.id, id, isEnded);
  refresh();
  return null;
});
