'use client';
import { ulid } from 'ulid';
import type { z } from 'zod';
import type { Order } from '@/records/pieces';
import { Card, ConflictNotice, NumberInput, TextInput, useSavedForm } from '@/ui/kit';
import { saveOrderCard } from '../actions';
import { orderFormSchema } from '../schema';

type Saved = z.infer<typeof orderFormSchema>;
type Typed = Omit<Saved, 'count'> & { readonly count: number | null };

const blank = (): Typed => ({
  ...{ id: ulid(), name: '', wanted: '', count: null, dueOn: '', price: '', note: '' },
});

interface Props {
  readonly order: Order | null;
  readonly onSaved: () => void;
}

/** An order as it is written down: what is wanted, how many, until when, and for what price. */
export function OrderCard({ order, onSaved }: Props) {
  const form = useSavedForm<Typed, Saved, null, Order>({
    schema: orderFormSchema,
    values: order ? typedOf(order) : blank(),
    draft: { key: `jiten.order.${order ? `${order.id}.${order.version}` : 'new'}` },
    under: 'order',
    version: order?.version ?? null,
    save: ({ dueOn, ...typed }, version) =>
      saveOrderCard({ order: { ...typed, dueOn: dueOn || null }, version }),
    onSaved: () => {
      if (!order) form.form.reset(blank());
      onSaved();
    },
  });
  const { control, theirs } = form;
  return (
    <Card of={form} title={order ? 'Change the order' : 'New order'} button={order ? 'Save' : 'Add order'}>
      {theirs && (
        <ConflictNotice
          rows={[
            { name: 'Name', mine: form.form.getValues('name'), theirs: theirs.name },
            {
              name: 'How many',
              mine: String(form.form.getValues('count') ?? ''),
              theirs: String(theirs.count),
            },
          ]}
          onKeepMine={() => void form.submit(theirs.version)}
        />
      )}
      <TextInput control={control} name="name" label="Name of the order, or who ordered" />
      <TextInput control={control} name="wanted" label="What is wanted" />
      <NumberInput control={control} name="count" label="How many" />
      <TextInput control={control} name="dueOn" label="Until when" type="date" />
      <TextInput control={control} name="price" label="Price" />
      <TextInput control={control} name="note" label="Note" multiline />
    </Card>
  );
}

function typedOf({ id, name, wanted, count, dueOn, price, note }: Order): Typed {
  return { ...{ id, name, wanted, count, price, note }, dueOn: dueOn ?? '' };
}
