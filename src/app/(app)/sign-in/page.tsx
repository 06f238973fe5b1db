import { redirect } from 'next/navigation';
import { currentMember } from '@/auth';
import { db } from '@/records/platform';
import { hasMembers, studioSettings } from '@/records/people';
import { signIn } from '@/features/people/signInActions';
import { SignInForm } from '@/features/people/ui/SignInForm';
import { DropOfflinePages } from '@/ui/DropOfflinePages';

export const metadata = { title: 'Sign in' };

export default async function Page() {
  if (await currentMember()) redirect('/');
  if (!(await hasMembers(db()))) redirect('/welcome');
  const { value: studio } = await studioSettings(db());
  return (
    <>
      <DropOfflinePages />
      <SignInForm
        title={studio.name ? `Sign in: ${studio.name}` : 'Sign in'}
        lead="With the name and password your studio gave you."
        button="Sign in"
        action={signIn}
        fields={[
          { name: 'signIn', label: 'Sign-in name', autoComplete: 'username' },
          { name: 'password', label: 'Password', type: 'password', autoComplete: 'current-password' },
        ]}
      >
        <p className="small quiet">
          Forgot your password? A technician can make you a link to set a new one.
        </p>
      </SignInForm>
    </>
  );
}
