import Link from 'next/link';
import css from './signIn.module.css';

/** What a link says that works no more. */
export function LinkOver({ title, why }: { title: string; why: string }) {
  return (
    <main className={css.sheet}>
      <div className={css.word}>
        <h1>Jiten</h1>
      </div>
      <div className={css.form}>
        <h2>{title}</h2>
        <p>{why}</p>
        <p>
          <Link href="/sign-in">Sign in</Link>
        </p>
      </div>
    </main>
  );
}
