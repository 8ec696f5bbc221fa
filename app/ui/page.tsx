import { Link } from 'react-router';

/** A plain page: the name of the house, where one is, and the text. */
export function Page({
  title,
  trail,
  who,
  wide,
  children,
}: {
  title: string;
  trail?: React.ReactNode;
  who?: React.ReactNode;
  wide?: boolean;
  children: React.ReactNode;
}) {
  const width = wide ? 'max-w-[1200px]' : 'max-w-[720px]';
  return (
    <div className={`mx-auto px-5 pb-16 ${width}`}>
      <header className="border-line flex flex-wrap items-baseline gap-x-5 gap-y-1 border-b py-3 text-sm">
        <Link to="/" className="text-ink font-serif text-lg no-underline">
          Fen
        </Link>
        {trail && <nav aria-label="Where you are">{trail}</nav>}
        <div className="ml-auto flex flex-wrap gap-4">{who}</div>
      </header>
      <main className="pt-6">
        <h1 className="mb-4 text-xl">{title}</h1>
        {children}
      </main>
    </div>
  );
}
