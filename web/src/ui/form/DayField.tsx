/** A day, typed in parts; says in words which day was understood. */
import type { CalendarDate } from '@internationalized/date';
import { getLocalTimeZone, parseDate, today } from '@internationalized/date';
import { differenceInCalendarDays } from 'date-fns';
import { useState } from 'react';
import { DateField, DateInput, DateSegment, FieldError, Label, Text } from 'react-aria-components';
import styled from 'styled-components';
import { dayWords } from '../when';
import { fieldCss } from './fieldCss';

const Field = styled(DateField<CalendarDate>)`
  ${fieldCss}
  .react-aria-DateInput {
    display: flex;
    gap: 2px;
    padding: 10px 12px;
    font-size: 20px;
    border: 2px solid ${({ theme }) => theme.ink};
    border-radius: 6px;
    background: ${({ theme }) => theme.paper};
  }
  [role='spinbutton'] {
    padding: 0 3px;
    border-radius: 3px;
    outline: none;
  }
  [role='spinbutton']:focus {
    background: ${({ theme }) => theme.ink};
    color: ${({ theme }) => theme.paper};
  }
`;

interface DayProps {
  name: string;
  label: string;
  error?: string | null;
  /** As YYYY-MM-DD. */
  defaultValue?: string;
}

export function DayField({ name, label, error, defaultValue }: DayProps) {
  const [day, setDay] = useState<CalendarDate | null>(() => (defaultValue ? parseDate(defaultValue) : null));
  return (
    <Field name={name} value={day} onChange={setDay} isInvalid={Boolean(error)} shouldForceLeadingZeros={false}>
      <Label>{label}</Label>
      <DateInput>{(segment) => <DateSegment segment={segment} />}</DateInput>
      <Text slot="description">{day ? understood(day) : 'day, month, year; empty: none'}</Text>
      {error && <FieldError>▲ {error}</FieldError>}
    </Field>
  );
}

/** "that is Fri 4 Dec, in 6 days". */
function understood(day: CalendarDate): string {
  const zone = getLocalTimeZone();
  const days = differenceInCalendarDays(day.toDate(zone), today(zone).toDate(zone));
  return `that is ${dayWords(day.toDate(zone))}, ${awayWords(days)}`;
}

function awayWords(days: number): string {
  if (days === 0) return 'today';
  const count = `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'}`;
  return days > 0 ? `in ${count}` : `▲ ${count} ago`;
}
