import { db } from '@/records/platform';
import { passwordLinkBy } from '@/records/people';
import { setForgotten } from '@/features/people/signInActions';
import { LinkOver } from '@/features/people/ui/LinkOver';
import { SignInForm } from '@/features/people/ui/SignInForm';

export const metadata = { title: 'A new password' };

export default async function Page({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const link = await passwordLinkBy(db(), token);
  if (!link)
    return (
      <LinkOver
        title="This link no longer works"
        why="It works once, within an hour. Ask a technician for a new one."
      />
    );
  return (
    <SignInForm
      title="A new password"
      lead={`For ${link.name}. All your devices are signed out.`}
      button="Set it and sign in"
      action={setForgotten.bind(null, token)}
      fields={[
        {
          name: 'password',
          label: 'New password, at least 10 characters',
          type: 'password',
          autoComplete: 'new-password',
        },
      ]}
    />
  );
}
