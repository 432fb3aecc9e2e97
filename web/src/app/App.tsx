import { createBrowserRouter, RouterProvider } from 'react-router'
import { Desk } from '../features/desk'
import { Shelf } from '../features/shelf'
import { Frame } from './Frame'
import { NotFound } from './NotFound'

const router = createBrowserRouter([
  {
    element: <Frame />,
    children: [
      { path: '/', element: <Shelf /> },
      { path: '/projects/:id', element: <Desk /> },
      { path: '*', element: <NotFound /> },
    ],
  },
])

export const App = () => <RouterProvider router={router} />
