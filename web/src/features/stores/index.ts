export { CatalogueFilesPage } from './CatalogueFilesPage';
export { ModelPage } from './ModelPage';
export { PartPage } from './PartPage';
export { PartsPage } from './PartsPage';
export { StockPage } from './StockPage';
export { StoresPage } from './StoresPage';
export { TemplatesPage } from './TemplatesPage';
