/**
 * SQL is fixed text: whatever comes from outside goes in as a parameter. A statement may be put together from constants (UPPER_CASE), from questions marks
 * (`places`), from names that are quoted (`quoted`), and by a choice between fixed texts; a piece that is made by a function says so by its name, `sql…`.
 */
const SQL =
  /\b(select\s|insert\s+into\b|update\s+\w+\s+set\b|delete\s+from\b|replace\s+into\b|alter\s+table\b|drop\s+\w+)/i;
const CALLS = new Set(["places", "rowsOf", "quoted"]);

const calleeName = ({ callee }) => (callee.type === "Identifier" ? callee.name : (callee.property?.name ?? ""));

/** Whether a piece of a statement is fixed text whatever comes in. */
function isFixed(node) {
  switch (node.type) {
    case "Literal":
      return true;
    case "TemplateLiteral":
      return node.expressions.every(isFixed);
    case "ConditionalExpression":
      return isFixed(node.consequent) && isFixed(node.alternate);
    case "Identifier":
      return /^[A-Z][A-Z0-9_]*$/.test(node.name) || node.name.startsWith("sql");
    case "MemberExpression":
      return isFixed(node.object) && node.object.type === "Identifier";
    case "CallExpression":
      // Columns of a fixed list, told one after the other.
      if (node.callee.type === "MemberExpression" && calleeName(node) === "join")
        return node.callee.object.type === "Identifier" && isFixed(node.callee.object);
      return CALLS.has(calleeName(node)) || calleeName(node).startsWith("sql");
    case "TSAsExpression":
    case "TSNonNullExpression":
      return isFixed(node.expression);
    default:
      return false;
  }
}

const plugin = {
  rules: {
    "sql-by-parameters": {
      meta: {
        type: "problem",
        schema: [],
        messages: { built: "SQL is not put together from values: use a parameter." },
      },
      create: (context) => {
        const check = (node, quasis, expressions) => {
          if (!SQL.test(quasis.join(" ? "))) return;
          for (const expression of expressions)
            if (!isFixed(expression)) context.report({ node: expression, messageId: "built" });
        };
        return {
          TemplateLiteral: (node) =>
            check(
              node,
              node.quasis.map(({ value }) => value.raw),
              node.expressions,
            ),
          BinaryExpression: (node) => {
            if (node.operator !== "+" || node.parent.type === "BinaryExpression") return;
            const parts = [];
            const walk = (one) =>
              one.type === "BinaryExpression" ? (walk(one.left), walk(one.right)) : parts.push(one);
            walk(node);
            const text = parts.map((one) => (one.type === "Literal" ? String(one.value) : " ? "));
            check(
              node,
              text,
              parts.filter(({ type }) => type !== "Literal"),
            );
          },
        };
      },
    },
  },
};
export default plugin;
