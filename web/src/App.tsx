import { createBrowserRouter, RouterProvider } from "react-router";
import { BenchPage } from "./features/bench/BenchPage";
import { DrawerPage } from "./features/drawer/DrawerPage";
import { Start } from "./features/drawer/Start";
import { FoldingPage } from "./features/folding/FoldingPage";
import { Lost } from "./features/help/Lost";
import { SheetPage } from "./features/sheet/SheetPage";
import { ShelfPage } from "./features/shelf/ShelfPage";
import { WallPage } from "./features/wall/WallPage";

const router = createBrowserRouter([
  { path: "/", element: <Start /> },
  { path: "/bench/:id", element: <BenchPage /> },
  { path: "/wall/:id", element: <WallPage /> },
  { path: "/folding/:id", element: <FoldingPage /> },
  { path: "/shelf", element: <ShelfPage /> },
  { path: "/sheet/:id", element: <SheetPage /> },
  { path: "/drawer", element: <DrawerPage /> },
  { path: "*", element: <Lost /> },
]);

export function App() {
  return <RouterProvider router={router} />;
}
