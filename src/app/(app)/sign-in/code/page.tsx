import Link from 'next/link';
import { redirect } from 'next/navigation';
import { sealedSession } from '@/auth';
import { signInWithCode } from '@/features/people/signInActions';
import { SignInForm } from '@/features/people/ui/SignInForm';

export const metadata = { title: 'Sign in: code' };

export default async function Page() {
  const { pending } = await sealedSession();
  if (!pending) redirect('/sign-in');
  return (
    <SignInForm
      title="Code"
      lead="The six figures of your authenticator, or one of your recovery codes."
      button="Sign in"
      action={signInWithCode}
      fields={[{ name: 'code', label: 'Code', autoComplete: 'one-time-code' }]}
    >
      <p className="small">
        No phone and no codes? A technician can remove the second factor.{' '}
        <Link href="/sign-in">Start again</Link>
      </p>
    </SignInForm>
  );
}
