'use client';
import { Form, Input, Modal } from 'antd';
import { useState } from 'react';
import { WORDS } from '../words';

interface Props {
  name: string;
  /** Resolves to what is wrong with the name, or null when it is saved. */
  onRename: (name: string) => Promise<string | null>;
  onClose: () => void;
}

/** Gives a station another name. */
export function RenameDialog({ name, onRename, onClose }: Props) {
  const [wanted, setWanted] = useState(name);
  const [wrong, setWrong] = useState<string | null>(null);
  const rename = async () => {
    const refused = wanted.trim() === name ? null : await onRename(wanted.trim());
    if (refused) setWrong(refused);
    else onClose();
  };
  return (
    <Modal
      open
      title={`Name of station ${name}`}
      okText="Rename"
      cancelText={WORDS.cancel}
      onOk={rename}
      onCancel={onClose}
    >
      <Form layout="vertical" onFinish={rename}>
        <Form.Item
          label="Name"
          htmlFor="station-name"
          validateStatus={wrong ? 'error' : undefined}
          help={wrong}
        >
          <Input
            id="station-name"
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
            autoFocus
            autoComplete="off"
            maxLength={200}
          />
        </Form.Item>
      </Form>
    </Modal>
  );
}
