import { Button, Group, Modal, Text } from "@mantine/core";
import type { DesignView } from "../../api/client";

/** A change that came after somebody else's: neither is lost, and one says which stays. */
export function Clash({ theirs, onTake, onKeep }: { theirs: DesignView; onTake: () => void; onKeep: () => void }) {
  return (
    <Modal opened onClose={onTake} title="Changed in another window" centered>
      <Text>
        Your last change came after another one to the same design{theirs.undo ? `, “${theirs.undo}”` : ""}. Neither is lost:
        yours can be done again on top of it.
      </Text>
      <Group mt="md" justify="flex-end">
        <Button variant="default" onClick={onTake}>
          Take the other
        </Button>
        <Button onClick={onKeep}>Put mine on top</Button>
      </Group>
    </Modal>
  );
}
