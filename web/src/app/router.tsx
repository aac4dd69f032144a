import { Navigate, createBrowserRouter } from 'react-router';
import { Forgotten, Invitation, NewAcademy, NewPassword, SignIn } from '../features/accounts/index.js';
import { Academy } from './Academy.js';
import { Frame } from './Frame.js';
import { NotThere } from './NotThere.js';

export const router = createBrowserRouter([
  { path: '/sign-in', element: <SignIn /> },
  { path: '/new-academy', element: <NewAcademy /> },
  { path: '/invitation', element: <Invitation /> },
  { path: '/forgotten', element: <Forgotten /> },
  { path: '/new-password', element: <NewPassword /> },
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
      { path: '/doubts', lazy: async () => ({ Component: (await import('../features/doubts/index.js')).Doubts }) },
      {
        path: '/principles',
        lazy: async () => ({ Component: (await import('../features/principles/index.js')).Principles }),
      },
      {
        path: '/follow',
        lazy: async () => ({ Component: (await import('../features/follow/index.js')).FollowScreen }),
      },
      { path: '/to-do', lazy: async () => ({ Component: (await import('../features/todo/index.js')).TodoList }) },
      { path: '/map', lazy: async () => ({ Component: (await import('../features/map/screen.js')).MapScreen }) },
      {
        path: '/map/answers',
        lazy: async () => ({ Component: (await import('../features/sheets/index.js')).AnswersScreen }),
      },
      {
        path: '/map/compare',
        lazy: async () => ({ Component: (await import('../features/sheets/index.js')).CompareScreen }),
      },
      {
        path: '/map/entry',
        lazy: async () => ({ Component: (await import('../features/sheets/index.js')).EntryScreen }),
      },
      {
        path: '/map/hold',
        lazy: async () => ({ Component: (await import('../features/sheets/index.js')).HoldScreen }),
      },
      {
        path: '/map/reaction',
        lazy: async () => ({ Component: (await import('../features/sheets/index.js')).ReactionScreen }),
      },
      {
        path: '/map/next',
        lazy: async () => ({ Component: (await import('../features/sheets/index.js')).NextScreen }),
      },
      {
        path: '/map/shape',
        lazy: async () => ({ Component: (await import('../features/sheets/index.js')).ShapeScreen }),
      },
      { path: '/routes', lazy: async () => ({ Component: (await import('../features/routes/index.js')).RouteFinder }) },
      {
        path: '/routes/:routeId',
        lazy: async () => ({ Component: (await import('../features/routes/index.js')).KeptRoute }),
      },
      {
        path: '/wall/:routeId',
        lazy: async () => ({ Component: (await import('../features/wall/index.js')).WallScreen }),
      },
      {
        path: '/routes/play',
        lazy: async () => ({ Component: (await import('../features/routes/index.js')).RoutePlayer }),
      },
      {
        path: '/academy',
        element: <Academy />,
        children: [
          { index: true, element: <Navigate to="/academy/people" replace /> },
          { path: 'people', lazy: async () => ({ Component: (await import('../features/people/index.js')).People }) },
          { path: 'letters', lazy: async () => ({ Component: (await import('../features/people/index.js')).Letters }) },
          {
            path: 'sessions',
            lazy: async () => ({ Component: (await import('../features/people/index.js')).Sessions }),
          },
          { path: 'words', lazy: async () => ({ Component: (await import('../features/words/index.js')).WordList }) },
          {
            path: 'policy',
            lazy: async () => ({ Component: (await import('../features/policy/index.js')).PolicyScreen }),
          },
          { path: 'disk', lazy: async () => ({ Component: (await import('../features/disk/index.js')).Disk }) },
          { path: 'bin', lazy: async () => ({ Component: (await import('../features/bin/index.js')).Bin }) },
        ],
      },
      { path: '*', element: <NotThere /> },
    ],
  },
]);
