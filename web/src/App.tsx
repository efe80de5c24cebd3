import { createBrowserRouter, RouterProvider } from "react-router";
import { BenchPage } from "./features/bench/BenchPage";
import { DrawerPage } from "./features/drawer/DrawerPage";
import { Start } from "./features/drawer/Start";
import { Lost } from "./features/help/Lost";
import { SheetPage } from "./features/sheet/SheetPage";
import { WallPage } from "./features/wall/WallPage";

const router = createBrowserRouter([
  { path: "/", element: <Start /> },
  { path: "/bench/:id", element: <BenchPage /> },
  { path: "/wall/:id", element: <WallPage /> },
  { path: "/sheet/:id", element: <SheetPage /> },
  { path: "/drawer", element: <DrawerPage /> },
  { path: "*", element: <Lost /> },
]);

export function App() {
  return <RouterProvider router={router} />;
}
