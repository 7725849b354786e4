'use client';
import { visibleText } from '@/core/units/visible';
import { Form, Modal, Select } from 'antd';
import { useState } from 'react';
import { stationName, type Solution } from '@/core/survey/solution';
import type { WayEnds } from '../way-home-strip';
import { WORDS } from '../words';

interface Props {
  solution: Solution;
  ends: WayEnds;
  onChoose: (ends: WayEnds) => void;
  onClose: () => void;
}

/** Chooses the two stations to show the way between. */
export function WayEndsDialog({ solution, ends, onChoose, onClose }: Props) {
  const [from, setFrom] = useState(ends.from);
  const [to, setTo] = useState(ends.to);
  const options = solution.places.stations().map((station) => ({
    value: station,
    label: visibleText(stationName(solution, station)),
  }));
  const choice = { options, showSearch: { optionFilterProp: 'label' } } as const;
  return (
    <Modal
      open
      title={WORDS.home.chooseAbout}
      okText="Show"
      cancelText={WORDS.cancel}
      onOk={() => onChoose({ from, to })}
      onCancel={onClose}
    >
      <Form layout="vertical">
        <Form.Item label="From" htmlFor="way-from">
          <Select id="way-from" {...choice} value={from} onChange={setFrom} />
        </Form.Item>
        <Form.Item label="To" htmlFor="way-to">
          <Select id="way-to" {...choice} value={to} onChange={setTo} />
        </Form.Item>
      </Form>
    </Modal>
  );
}
