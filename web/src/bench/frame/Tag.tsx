/** A terminal by its name on a plate, wherever one is named: opens its slip. */
import type { TerminalRef } from '@junctor/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { plateCss } from '../../ui/Plate';
import { useSlipLink } from './Slip';

const PlateLink = styled(Link)`
  ${plateCss}
  text-decoration: none;
`;

export function Tag({ at, children }: { at: TerminalRef; children: ReactNode }) {
  return <PlateLink {...useSlipLink(at)}>{children}</PlateLink>;
}
