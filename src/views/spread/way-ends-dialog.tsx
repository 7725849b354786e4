'use client';
import { Form, Modal, Select } from 'antd';
import { useState } from 'react';
import { stationName, stationPoints, type Solution } from '@/core/solve';
import type { WayEnds } from './way-home-strip';
import { WORDS } from './words';

interface Props {
  solution: Solution;
  ends: WayEnds;
  onChoose: (ends: WayEnds) => void;
  onClose: () => void;
}

/** Chooses the two stations between which the way is wanted. */
export function WayEndsDialog({ solution, ends, onChoose, onClose }: Props) {
  const [from, setFrom] = useState(ends.from);
  const [to, setTo] = useState(ends.to);
  const options = stationPoints(solution).map((point) => ({
    value: point,
    label: stationName(solution, point),
  }));
  const choose = { options, showSearch: { optionFilterProp: 'label' } } as const;
  return (
    <Modal
      open
      title="The way between two stations"
      okText="Show it"
      cancelText={WORDS.cancel}
      onOk={() => onChoose({ from, to })}
      onCancel={onClose}
    >
      <Form layout="vertical">
        <Form.Item label="From" htmlFor="way-from">
          <Select id="way-from" {...choose} value={from} onChange={setFrom} />
        </Form.Item>
        <Form.Item label="To" htmlFor="way-to">
          <Select id="way-to" {...choose} value={to} onChange={setTo} />
        </Form.Item>
      </Form>
    </Modal>
  );
}
