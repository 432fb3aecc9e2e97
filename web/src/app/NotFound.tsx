import { Link } from 'react-router'

export const NotFound = () => (
  <main className="mx-auto max-w-md p-10">
    <h1 className="text-xl font-semibold">There is no such page</h1>
    <p className="mt-2 text-soft">The address may be mistyped, or the project was removed.</p>
    <Link to="/" className="mt-4 inline-block text-settled underline">
      Back to the shelf
    </Link>
  </main>
)
