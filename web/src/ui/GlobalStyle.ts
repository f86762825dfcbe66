import { createGlobalStyle } from 'styled-components';

export const GlobalStyle = createGlobalStyle`
  *, *::before, *::after { box-sizing: border-box; }
  html, body, #root { height: 100%; margin: 0; }
  body {
    background: ${({ theme }) => theme.ground}; color: ${({ theme }) => theme.ink};
    font-family: ${({ theme }) => theme.sans}; font-size: 17px; line-height: 1.35;
  }
  h1, h2, h3, p, ul, ol, dl, dd, figure { margin: 0; padding: 0; }
  ul, ol { list-style: none; }
  progress { width: 100%; }
  button, input, select, textarea { font: inherit; color: inherit; }
  button { background: ${({ theme }) => theme.paper}; border: 1.5px solid ${({ theme }) => theme.ink}; border-radius: 6px; }
  ::file-selector-button { font: inherit; font-weight: 700; color: inherit; margin-right: 10px; padding: 6px 12px; background: ${({ theme }) => theme.paper}; border: 1.5px solid ${({ theme }) => theme.ink}; border-radius: 6px; }
  ::placeholder { color: ${({ theme }) => theme.quiet}; }
  html { color-scheme: ${({ theme }) => theme.scheme}; }
  a { color: inherit; text-underline-offset: 4px; }
  h1:focus-visible { outline: none !important; box-shadow: inset 8px 0 0 ${({ theme }) => theme.bronze}; }
  :focus-visible { outline: 3px solid ${({ theme }) => theme.bronze}; outline-offset: 2px; }
  @media (prefers-reduced-motion: reduce) { * { animation: none !important; transition: none !important; } }
`;
