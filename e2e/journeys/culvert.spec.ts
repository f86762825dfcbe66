/**
 * The culvert inspector, from its kit to its close by the keyboard alone: a part short, a wire on the wrong pad, a
 * bridge at a look, contacts moved in a plug that was mated, ten signs at first power.
 */
import { answer, logOf, press, quadId, readable, sentence, signIn, under } from '../support/bench';
import { expect, test } from '../support/shop';
import { sayExpectedFirst, walkJob } from '../support/walkJob';

const quad = 'Culvert inspector';

test.describe.configure({ timeout: 300_000 });

test('a conversion walked to its end', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: quad })).toBeVisible();
  await sayExpectedFirst(page, shop.url, quad);
  await press(page, '2');

  await test.step('the kit: one line is short, and said so', async () => {
    await expect(sentence(page)).toContainText('cable tie');
    await press(page, '5');
    await press(page, '1');
    await answer(page, 'Enter');
    await expect(page.getByRole('region', { name: /Right hand/ })).toContainText('short');
  });

  await test.step('what comes off: the plug that gets new contacts is pulled, the old parts are called old', async () => {
    const { sentences } = await walkJob(page, shop.url, quad, { until: /^Solder the red wire to the receiver/ });
    for (const said of [
      'Unplug FC J1 to RX, CAM, VTX',
      'Take the green wire of the receiver’s lead off the old receiver, R',
      'Take the old receiver off',
    ])
      expect(sentences).toContain(said);
    expect(
      sentences.filter((said) =>
        /black wire of the camera’s lead out of plug CAM J1, and out of plug FC J1/.test(said),
      ),
    ).toHaveLength(1);
  });

  await test.step('a wire goes to the wrong pad: said, and moved', async () => {
    await walkJob(page, shop.url, quad, {
      until: /^Solder the green wire of the video unit’s lead to the single board/,
    });
    await press(page, '7');
    await press(page, 'ArrowRight');
    const other = await sentence(page).innerText();
    await answer(page, 'Enter');
    expect(other).not.toBe(await sentence(page).innerText());
    await expect(sentence(page)).toContainText('planned was');
    await answer(page, 'Enter');
    await expect(sentence(page)).toContainText('Solder the green wire of the video unit’s lead');
  });

  await test.step('two contacts go into the plug that was mated, each once, then it is pushed home', async () => {
    const { sentences } = await walkJob(page, shop.url, quad, {
      until: /^Look at the 2 joints of the video unit’s lead/,
    });
    expect(sentences.at(-1)).toContain('Look at');
    await press(page, '2');
    await press(page, '1');
    await expect(sentence(page)).toContainText('What is wrong with');
    await press(page, '1');
    await expect(sentence(page)).toHaveText('Between which pads is the bridge?');
    await readable(page);
    await press(page, '1');
    await expect(sentence(page)).toContainText('Rework the joint');
    await answer(page, 'Enter');
    await expect(sentence(page)).toContainText('Look at the 2 joints');
    const log = await logOf(page, shop.url, await quadId(page, shop.url, quad));
    const contacts = log.filter(({ body }) => body.do === 'land' && body.wire === 'C5-1').map(({ body }) => body.end);
    expect([...contacts].sort()).toEqual([0, 1]);
    expect(log.at(-2)?.body).toMatchObject({ saw: 'look', grade: 'redo' });
    expect(JSON.stringify(log.map(({ body }) => body.defects ?? ''))).toContain('bridge to ');
  });

  await test.step('each rail and ground of the new unit is touched, ten signs are answered, it goes back', async () => {
    const { sentences } = await walkJob(page, shop.url, quad);
    for (const said of [
      'Push plug FC J1 to RX, GPS, VTX home until it clicks',
      'Lay the old video unit with what goes back',
    ])
      expect(sentences).toContain(said);
    const touched = sentences.filter((said) => /lack on .+, red on /.test(said)).join('\n');
    for (const place of ['VTX 9V', 'VTX RX', 'GPS 5V', 'GPS G']) expect(touched).toContain(place);
    expect(sentences.filter((said) => said.startsWith('Hand on the plug. Is it there'))).toHaveLength(10);
    await expect(under(page)).toContainText('This says what was checked, nothing more');
    await press(page, 'Enter');
    await expect(page.getByRole('heading', { name: quad })).toBeHidden();
  });
});
