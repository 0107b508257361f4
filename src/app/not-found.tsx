import { TopLine } from '@/ui/shell';

export default function NotFound() {
  return (
    <div className="min-h-screen bg-panel">
      <TopLine />
      <main className="mx-auto mt-[15vh] max-w-xl px-6">
        <h1 className="font-serif text-4xl">There is nothing here.</h1>
        <p className="mt-4 text-lg">
          It may have been deleted in another window. What you have is on the Wall and in the
          Drawers.
        </p>
      </main>
    </div>
  );
}
