import { Alert, Button } from 'antd';
import { Component, type ReactNode } from 'react';

interface Props {
  /** What cannot be shown, in a sentence. */
  title: string;
  /** Called before it is tried again. */
  onRetry?: () => void;
  children: ReactNode;
}

/** Keeps what goes wrong in one part of the window from the others, and tries it again. */
export class Boundary extends Component<Props, { failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError() {
    return { failed: true };
  }

  override render() {
    if (!this.state.failed) return this.props.children;
    return (
      <div className="waiting">
        <Alert
          type="error"
          title={this.props.title}
          description="What is stored and what you typed are safe. If trying again does not help, load the window again."
          action={
            <Button
              onClick={() => {
                this.props.onRetry?.();
                this.setState({ failed: false });
              }}
            >
              Try again
            </Button>
          }
        />
      </div>
    );
  }
}
