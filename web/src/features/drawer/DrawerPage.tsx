import { Button, Loader, Modal, Select, Switch, TextInput, useComputedColorScheme, useMantineColorScheme } from "@mantine/core";
import { useDocumentTitle, useHotkeys } from "@mantine/hooks";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { answer, api, type Problem, problemOf, type Schemas } from "../../api/client";
import { Sentence } from "../../components/Fig";
import { Trouble } from "../../components/Trouble";
import { IconButton, ThemeButton, Wordmark } from "../bench/Bar";
import { Help } from "../help/Help";
import { CheckList } from "./CheckList";
import { StockForm, ToolForm, useOwnChange } from "./OwnForms";

/** All designs, and what the studio owns. */
export function DrawerPage() {
  const queries = useQueryClient();
  const designs = useQuery({ queryKey: ["designs"], queryFn: () => answer(api.GET("/api/designs")) });
  const catalogue = useQuery({
    queryKey: ["catalogue"],
    queryFn: () => answer(api.GET("/api/catalogue")),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const drawer = useQuery({ queryKey: ["drawer"], queryFn: () => answer(api.GET("/api/drawer")) });
  const keep = useMutation({
    mutationFn: (item: Schemas["DrawerItem"]) => answer(api.PUT("/api/drawer", { body: item })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["drawer"] }),
  });
  const { setColorScheme } = useMantineColorScheme();
  const scheme = useComputedColorScheme("light");
  const [help, setHelp] = useState(false);
  const [making, setMaking] = useState(false);
  const [checking, setChecking] = useState(false);
  const [owning, setOwning] = useState<{ kind: "tools" | "stock"; id: string | null } | null>(null);
  const own = useQuery({ queryKey: ["own"], queryFn: () => answer(api.GET("/api/drawer/own")) });
  const remove = useOwnChange(
    async (item: { kind: string; id: string }) => {
      const { error } = await api.DELETE("/api/drawer/own/{kind}/{id}", { params: { path: item } });
      if (error) {
        throw problemOf(error);
      }
    },
    () => {},
  );
  const navigate = useNavigate();
  useDocumentTitle("Drawer · Whole Fold");
  useHotkeys([
    ["N", () => setMaking(true)],
    ["L", () => setChecking(true)],
    ["S", () => navigate("/shelf")],
    ["D", () => setColorScheme(scheme === "dark" ? "light" : "dark")],
    ["shift+?", () => setHelp(true)],
    ["?", () => setHelp(true)],
  ]);
  const tallest = Math.max(...(designs.data ?? []).map((d) => Math.max(d.height, d.width)), 1);
  const owned = (kind: string, id: string) => drawer.data?.some((d) => d.kind === kind && d.id === id && d.toHand) ?? false;
  const problem = (designs.error ?? catalogue.error ?? drawer.error ?? keep.error ?? remove.error) as Problem | null;
  return (
    <main className="page drawer">
      <header className="bar">
        <Wordmark />
        <h1>Drawer</h1>
        <span className="spring" />
        <Button variant="default" component={Link} to="/shelf" radius="xl" aria-keyshortcuts="s">
          Shelf of constructions
        </Button>
        <Button variant="default" onClick={() => setChecking(true)} radius="xl" aria-keyshortcuts="l">
          Check a list
        </Button>
        <Button onClick={() => setMaking(true)} radius="xl" aria-keyshortcuts="n">
          New design
        </Button>
        <ThemeButton />
        <IconButton label="Keys and help" keys="?" onClick={() => setHelp(true)}>
          ?
        </IconButton>
      </header>
      <div className="drawer-body">
        {problem ? <Trouble problem={problem} /> : null}
        {designs.isLoading ? <Loader aria-label="Opening the drawer" /> : null}
        {designs.data?.length === 0 ? (
          <p className="empty">
            The drawer is empty. <b>New design</b> begins one from a construction and a format; the <Link to="/shelf">shelf</Link>{" "}
            shows what each construction does.
          </p>
        ) : null}
        <ul className="designs">
          {designs.data?.map((d) => (
            <li key={d.id}>
              <Link to={`/bench/${d.id}`} className="design">
                <span className="silhouette">
                  <span
                    className="paper"
                    style={{ width: Math.round((d.width / tallest) * 112), height: Math.round((d.height / tallest) * 112) }}
                  />
                </span>
                <b>{d.name}</b>
                <span>
                  {d.construction}: {d.opens}
                </span>
                <small>
                  <Sentence text={d.home} /> · {d.stock}
                </small>
                <small>changed {d.changed}</small>
              </Link>
            </li>
          ))}
        </ul>
        <div className="owned">
          {(
            [
              ["tools", "Boards and cutters to hand", catalogue.data?.tools],
              ["stock", "Card and paper to hand", catalogue.data?.stocks],
            ] as const
          ).map(([kind, title, items]) => (
            <section key={kind} aria-label={title}>
              <h2 className="own-line">
                {title}
                <Button size="compact-sm" variant="default" onClick={() => setOwning({ kind, id: null })}>
                  add your own
                </Button>
              </h2>
              {items?.map((item) => (
                <div key={item.id} className="own-line">
                  <Switch
                    label={item.name}
                    description={item.detail}
                    checked={owned(kind, item.id)}
                    onChange={(e) => keep.mutate({ kind, id: item.id, toHand: e.currentTarget.checked })}
                  />
                  {item.own ? (
                    <span className="target-buttons">
                      <Button
                        size="compact-sm"
                        variant="default"
                        aria-label={`Change ${item.name}`}
                        onClick={() => setOwning({ kind, id: item.id })}
                      >
                        change
                      </Button>
                      <Button
                        size="compact-sm"
                        variant="default"
                        aria-label={`Remove ${item.name}`}
                        onClick={() => remove.mutate({ kind, id: item.id })}
                      >
                        remove
                      </Button>
                    </span>
                  ) : null}
                </div>
              ))}
            </section>
          ))}
        </div>
      </div>
      <Help opened={help} onClose={() => setHelp(false)} />
      <Modal
        opened={checking}
        onClose={() => setChecking(false)}
        title="Check a list"
        closeButtonProps={{ "aria-label": "Close" }}
      >
        <CheckList />
      </Modal>
      <Modal
        opened={owning !== null}
        onClose={() => setOwning(null)}
        title={owning?.kind === "stock" ? "Card or paper of your own" : "Board and trimmer of your own"}
        closeButtonProps={{ "aria-label": "Close" }}
      >
        {owning?.kind === "tools" ? (
          <ToolForm tools={own.data?.tools?.find((t) => t.id === owning.id) ?? null} onDone={() => setOwning(null)} />
        ) : null}
        {owning?.kind === "stock" ? (
          <StockForm
            stock={own.data?.stocks?.find((s) => s.id === owning.id) ?? null}
            accepted={catalogue.data?.acceptsCaliper ?? ""}
            onDone={() => setOwning(null)}
          />
        ) : null}
      </Modal>
      <Modal opened={making} onClose={() => setMaking(false)} title="New design" closeButtonProps={{ "aria-label": "Close" }}>
        {catalogue.data ? <NewDesign catalogue={catalogue.data} /> : <Loader aria-label="Fetching the constructions" />}
      </Modal>
    </main>
  );
}

function NewDesign({ catalogue }: { catalogue: Schemas["CatalogueView"] }) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [name, setName] = useState("");
  const [construction, setConstruction] = useState(catalogue.constructions[0]?.id ?? "");
  const [format, setFormat] = useState("5x5");
  const create = useMutation({
    mutationFn: () => answer(api.POST("/api/designs", { body: { state: { name, construction, format } } })),
    onSuccess: (made) => {
      queries.setQueryData(["design", made.id], made);
      queries.invalidateQueries({ queryKey: ["designs"] });
      navigate(`/bench/${made.id}`);
    },
  });
  const problem = create.error as Problem | null;
  const wrong = (field: string) => (problem?.field === field ? problem.detail : undefined);
  return (
    <form
      className="new-design"
      onSubmit={(event) => {
        event.preventDefault();
        create.mutate();
      }}
    >
      <TextInput
        label="Name"
        value={name}
        onChange={(e) => setName(e.currentTarget.value)}
        error={wrong("name")}
        data-autofocus
      />
      <Select
        label="Construction"
        data={catalogue.constructions.map((c) => ({ value: c.id, label: `${c.name}: ${c.detail}` }))}
        value={construction}
        onChange={(value) => setConstruction(value ?? construction)}
        allowDeselect={false}
        error={wrong("construction")}
      />
      <TextInput
        label="Finished size"
        description={`A format such as ${catalogue.formats
          .slice(3, 6)
          .map((f) => f.id)
          .join(", ")}, or ${catalogue.accepts}`}
        value={format}
        onChange={(e) => setFormat(e.currentTarget.value)}
        error={wrong("format")}
      />
      {problem && !["name", "construction", "format"].includes(problem.field ?? "") ? <Trouble problem={problem} /> : null}
      <Button type="submit" loading={create.isPending} mt="sm">
        Lay it out
      </Button>
    </form>
  );
}
