namespace Sandbar.Core.Rendering;

/// <summary>
/// The only script of a release, on pages with clips alone: it plays them where they are seen, unless less motion is asked for; lets visitors stop them (WCAG 2.2, 2.2.2),
/// and hear those that may be heard once they ask. Without it a clip is its poster.
/// </summary>
public static class ReleaseScript
{
    public const string Path = "clips.js";

    /// <summary>The class of what holds the buttons.</summary>
    public const string Controls = "fill-controls";

    public const string Text = $$"""
        (() => {
          const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
          const button = (label, act) => {
            const made = document.createElement('button');
            made.type = 'button';
            made.textContent = label();
            made.addEventListener('click', () => {
              act();
              made.textContent = label();
            });
            return made;
          };
          for (const clip of document.querySelectorAll('.fill video')) {
            const { from = 0, until = Infinity, loops, sound } = clip.dataset;
            let wanted = !still;
            let seen = false;
            const begin = () => {
              if (clip.currentTime < Number(from) || clip.currentTime >= Number(until)) clip.currentTime = Number(from);
            };
            const follow = () => {
              if (!wanted || !seen) {
                clip.pause();
                return;
              }
              begin();
              clip.play().catch(() => {});
            };
            const finish = () => {
              clip.currentTime = Number(from);
              if (loops === undefined) {
                wanted = false;
                stop.textContent = 'Play';
              }
              follow();
            };
            const controls = document.createElement('div');
            controls.className = '{{Controls}}';
            const stop = button(
              () => (wanted ? 'Pause' : 'Play'),
              () => {
                wanted = !wanted;
                follow();
              },
            );
            controls.append(stop);
            clip.muted = true;
            if (sound !== undefined)
              controls.append(
                button(
                  () => (clip.muted ? 'Sound on' : 'Sound off'),
                  () => (clip.muted = !clip.muted),
                ),
              );
            clip.addEventListener('loadedmetadata', begin);
            clip.addEventListener('timeupdate', () => clip.currentTime >= Number(until) && finish());
            clip.addEventListener('ended', finish);
            // A clip that is not shown at this width has no place, and is not seen.
            new IntersectionObserver((entries) => {
              seen = entries.at(-1).isIntersecting;
              controls.hidden = !clip.checkVisibility();
              follow();
            }).observe(clip);
            clip.closest('.fill').parentElement.append(controls);
          }
        })();

        """;
}
