import { db } from '@/records/platform';
import { invitationBy, studioSettings } from '@/records/people';
import { joinStudio } from '@/features/people/signInActions';
import { LinkOver } from '@/features/people/ui/LinkOver';
import { SignInForm } from '@/features/people/ui/SignInForm';

export const metadata = { title: 'Join the studio' };

export default async function Page({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const [invitation, { value: studio }] = await Promise.all([
    invitationBy(db(), token),
    studioSettings(db()),
  ]);
  if (!invitation)
    return (
      <LinkOver
        title="This invitation no longer works"
        why="It was used up, it expired, or somebody ended it. Ask for a new one."
      />
    );
  const { by, role, group, maker } = invitation;
  return (
    <SignInForm
      title={maker ? `Welcome, ${maker}` : 'Join the studio'}
      lead={`${by} invites you${studio.name && ` to ${studio.name}`} as a ${role}${group ? `, ${group}` : ''}.`}
      button="Join"
      action={joinStudio.bind(null, token)}
      fields={[
        { name: 'name', label: 'Your name', autoComplete: 'name', value: maker ?? '' },
        { name: 'signIn', label: 'Sign-in name', autoComplete: 'username' },
        {
          name: 'password',
          label: 'Password, at least 10 characters',
          type: 'password',
          autoComplete: 'new-password',
        },
      ]}
    />
  );
}
