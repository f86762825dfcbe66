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
  a { color: inherit; text-underline-offset: 4px; }
  :focus-visible { outline: 3px solid ${({ theme }) => theme.bronze}; outline-offset: 2px; }
  @media (prefers-reduced-motion: reduce) { * { animation: none !important; transition: none !important; } }
`;
