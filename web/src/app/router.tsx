import { Navigate, createBrowserRouter } from 'react-router';
import { SignIn } from '../features/accounts/index.js';
import { Frame } from './Frame.js';
import { NotThere } from './NotThere.js';

export const router = createBrowserRouter([
  { path: '/sign-in', element: <SignIn /> },
  {
    element: <Frame />,
    hydrateFallbackElement: <></>,
    errorElement: <NotThere />,
    children: [
      { path: '/', element: <Navigate to="/footage" replace /> },
      { path: '/footage', lazy: async () => ({ Component: (await import('../features/footage/index.js')).Shelf }) },
      {
        path: '/break-down/:footageId?',
        lazy: async () => ({ Component: (await import('../features/bench/index.js')).Bench }),
      },
      { path: '/clips', lazy: async () => ({ Component: (await import('../features/clips/index.js')).ClipList }) },
      { path: '/map', lazy: async () => ({ Component: (await import('../features/map/screen.js')).MapScreen }) },
      { path: '/routes', lazy: async () => ({ Component: (await import('../features/routes/index.js')).RouteFinder }) },
      {
        path: '/routes/play',
        lazy: async () => ({ Component: (await import('../features/routes/index.js')).RoutePlayer }),
      },
      { path: '*', element: <NotThere /> },
    ],
  },
]);
