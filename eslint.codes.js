/**
 * Meaning apart from words: no sentence and no word of a language decides
 * anything, names anything, or is kept. Codes do; the catalogue has the words.
 */

/** Text with words in it: letters, white space, letters. */
const WORDS = 'Literal[value=/[A-Za-z,.’]\\s+[A-Za-z]/]';
/** What turns a code into words. */
const SAID = 'CallExpression[callee.name=/^(write|tell|label|showPhrase|fieldText|problemText)$/]';
/** What looks a text up, or looks into one. */
const LOOKS =
	'CallExpression[callee.property.name=/^(startsWith|endsWith|includes|indexOf|has|get|set|add)$/]';

const no = (message, ...selectors) =>
	selectors.map((selector) => ({
		selector,
		message: `${message}: use a code, and say it through the catalogue (words/).`
	}));

const ENGLISH_DECIDES = 'English in a branch';
const ENGLISH_IS_KEY = 'English as a key';
const ENGLISH_IS_KEPT = 'English as a value that is chosen from a list or kept';
const MESSAGE_DECIDES = 'A message compared, or used as a key';

export const restrictions = [
	...no(
		ENGLISH_DECIDES,
		`BinaryExpression[operator=/^[!=]==?$/] > ${WORDS}`,
		`SwitchCase > ${WORDS}.test`,
		`${LOOKS} > ${WORDS}`
	),
	...no(
		ENGLISH_IS_KEY,
		`ObjectExpression > Property > ${WORDS}.key`,
		`MemberExpression[computed=true] > ${WORDS}.property`,
		`TSPropertySignature > ${WORDS}.key`
	),
	...no(
		ENGLISH_IS_KEPT,
		`TSLiteralType > ${WORDS}`,
		`CallExpression[callee.property.name=/^(enum|literal)$/] ${WORDS}`,
		`TSAsExpression > ArrayExpression > ${WORDS}`
	),
	...no(
		MESSAGE_DECIDES,
		`BinaryExpression[operator=/^[!=]==?$/] > ${SAID}`,
		`SwitchStatement > ${SAID}.discriminant`,
		`MemberExpression[computed=true] > ${SAID}.property`,
		`ObjectExpression > Property[computed=true] > ${SAID}.key`,
		`MemberExpression[property.name=/^(startsWith|endsWith|includes|indexOf|match)$/] > ${SAID}.object`,
		`${LOOKS} > ${SAID}.arguments`,
		`NewExpression[callee.name=/^(Map|Set)$/] ArrayExpression > ${SAID}:first-child`,
		`SvelteEachBlock > ${SAID}.key`
	)
];
