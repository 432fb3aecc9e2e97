import { createBrowserRouter, RouterProvider } from 'react-router'
import { Shelf } from '../features/shelf'
import { Frame } from './Frame'
import { NotFound } from './NotFound'

const router = createBrowserRouter([
  {
    element: <Frame />,
    children: [
      { path: '/', element: <Shelf /> },
      {
        path: '/projects/:id',
        // The desk brings the code view along; the shelf need not wait for it.
        lazy: async () => ({ Component: (await import('../features/desk')).Desk }),
        HydrateFallback: () => null,
      },
      { path: '*', element: <NotFound /> },
    ],
  },
])

export const App = () => <RouterProvider router={router} />
