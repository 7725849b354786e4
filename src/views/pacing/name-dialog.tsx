'use client';
import { Form, Input, Modal } from 'antd';
import { useState } from 'react';
import { LONGEST_NAME } from '@/core/readings/name';
import { WORDS } from './words';

interface Props {
  name: string;
  onName: (name: string) => void;
  onClose: () => void;
}

/** Names a pace profile. */
export function NameDialog({ name, onName, onClose }: Props) {
  const [text, setText] = useState(name);
  const wanted = text.replace(/\s+/g, ' ').trim();
  const ready = wanted !== '' && wanted.length <= LONGEST_NAME;
  const save = () => ready && onName(wanted);
  return (
    <Modal
      open
      title={WORDS.profileName}
      okText={WORDS.saveName}
      cancelText={WORDS.cancel}
      okButtonProps={{ disabled: !ready }}
      onOk={save}
      onCancel={onClose}
    >
      <Form onFinish={save}>
        <Input
          id="profile-name"
          aria-label={WORDS.profileName}
          value={text}
          onChange={(event) => setText(event.target.value)}
          autoFocus
          autoComplete="off"
        />
      </Form>
    </Modal>
  );
}
