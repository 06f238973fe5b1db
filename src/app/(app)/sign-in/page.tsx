import { redirect } from 'next/navigation';
import { currentDevice, currentMember } from '@/auth';
import { db } from '@/records/platform';
import { deviceNames, hasMembers, studioSettings } from '@/records/people';
import { signIn } from '@/features/people/signInActions';
import { DeviceNames } from '@/features/people/ui/DeviceNames';
import { SignInForm } from '@/features/people/ui/SignInForm';
import { LinkButton } from '@/ui/LinkButton';
import { DropOfflinePages } from '@/ui/DropOfflinePages';

export const metadata = { title: 'Sign in' };

export default async function Page({ searchParams }: { searchParams: Promise<{ by?: string }> }) {
  if (await currentMember()) redirect('/');
  if (!(await hasMembers(db()))) redirect('/welcome');
  const [{ value: studio }, device, { by }] = await Promise.all([
    studioSettings(db()),
    currentDevice(),
    searchParams,
  ]);
  if (device && by !== 'password')
    return (
      <>
        <DropOfflinePages />
        <DeviceNames studio={studio.name} device={device.name} names={await deviceNames(db())} />
      </>
    );
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
        {device && <LinkButton href="/sign-in">Back to the names</LinkButton>}
        <p className="small quiet">
          Forgot your password? A technician can make you a link to set a new one.
        </p>
      </SignInForm>
    </>
  );
}
