'use client';
import { Form, Input, Modal } from 'antd';
import { useState } from 'react';
import { WORDS } from './words';

interface Props {
  name: string;
  onName: (name: string) => void;
  onClose: () => void;
}

/** Names a pace profile. */
export function NameDialog({ name, onName, onClose }: Props) {
  const [wanted, setWanted] = useState(name);
  const ready = wanted.trim() !== '' && wanted.trim().length <= 200;
  const save = () => ready && onName(wanted.replace(/\s+/g, ' ').trim());
  return (
    <Modal
      open
      title={WORDS.profileName}
      okText="Keep"
      cancelText="Back"
      okButtonProps={{ disabled: !ready }}
      onOk={save}
      onCancel={onClose}
    >
      <Form onFinish={save}>
        <Input
          id="profile-name"
          aria-label={WORDS.profileName}
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
          autoFocus
          autoComplete="off"
        />
      </Form>
    </Modal>
  );
}
