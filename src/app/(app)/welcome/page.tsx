import { redirect } from 'next/navigation';
import { db } from '@/records/platform';
import { hasMembers } from '@/records/people';
import { makeFirst } from '@/features/people/signInActions';
import { BrowserZone } from '@/features/people/ui/BrowserZone';
import { SignInForm } from '@/features/people/ui/SignInForm';

export const metadata = { title: 'A new studio' };
export const dynamic = 'force-dynamic';

export default async function Page() {
  if (await hasMembers(db())) redirect('/sign-in');
  return (
    <SignInForm
      title="A new studio"
      lead="Nobody is here yet. The first to sign in is the technician."
      button="Begin"
      action={makeFirst}
      fields={[
        { name: 'name', label: 'Your name', autoComplete: 'name' },
        { name: 'signIn', label: 'Sign-in name', autoComplete: 'username' },
        { name: 'password', label: 'Password', type: 'password', autoComplete: 'new-password' },
        { name: 'prefix', label: 'Letters before your piece numbers, for example SW', autoComplete: 'off' },
      ]}
    >
      <BrowserZone />
    </SignInForm>
  );
}
