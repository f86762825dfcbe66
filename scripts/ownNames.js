/**
 * A lint rule for the core: a table whose keys come from outside is read by `lookUp` and asked by `Object.hasOwn`.
 * `table[key]` and `key in table` also find what every object inherits, under names such as `constructor`.
 */
import ts from 'typescript';

const isOpenTable = (checker, type) => {
  const given = checker.getNonNullableType(type);
  return (given.isUnion() ? given.types : [given])
    .flatMap((one) => checker.getIndexInfosOfType(one))
    .some(({ keyType }) => !(keyType.flags & ts.TypeFlags.Number));
};

export const ownNames = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { own: 'A table read by a name from outside: use lookUp, or Object.hasOwn.' },
  },
  create(context) {
    const services = context.sourceCode.parserServices;
    const checker = services.program.getTypeChecker();
    const judge = (node, table) => {
      if (isOpenTable(checker, services.getTypeAtLocation(table))) context.report({ node, messageId: 'own' });
    };
    return {
      'MemberExpression[computed=true]'(node) {
        const isWritten = node.parent.type === 'AssignmentExpression' && node.parent.left === node;
        if (!isWritten && node.property.type !== 'Literal') judge(node, node.object);
      },
      "BinaryExpression[operator='in']"(node) {
        judge(node, node.right);
      },
    };
  },
};
